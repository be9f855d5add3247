"""The counter. Routes, what goes in and out, and how values are shown."""
