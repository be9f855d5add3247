"""Attempts that failed: whether a promise was kept, what speaks for which cause, and what to check first.

Not here: the comparison that shows a failure (verdict), the list of the next attempt (bench).
"""
