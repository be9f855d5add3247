"""Signing in and out. Routes, what goes in and out, and how values are shown."""
