"""Past jobs from a list. Routes, and what goes in and out."""
