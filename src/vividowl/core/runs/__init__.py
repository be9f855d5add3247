"""Many runs of one thing: groups, ranking, factors, burn-in, drift, how many repeats. No log, no device, no verdict."""
