"""Use cases of many runs: tables of them, all runs of a job, rankings, factors, burn-in. No single reading."""
