"""A log as columns over time, and what it shows by itself: roles, loads, phases, held back. No device parameters."""
