"""Logs, recordings and runs: taken in, read apart, kept, compared. What may be done about it is the plan's."""
