"""The plan of a job. Routes, what goes in and out, and how values are shown."""
