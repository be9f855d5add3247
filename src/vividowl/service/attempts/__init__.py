"""Attempts of a visit: whether one failed, why, the next one, and all side by side."""
