"""Attempts of a job over the wire."""
