"""Jobs: intake, gates, fit, hand-over. Routes, what goes in and out, and how values are shown."""
