"""Models and their exchange. Routes, what goes in and out, and how values are shown."""
