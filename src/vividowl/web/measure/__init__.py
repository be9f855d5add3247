"""Runs of a job: logs, recordings, spots, views. Routes, what goes in and out, and how values are shown."""
