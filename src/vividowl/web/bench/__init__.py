"""Bench mode: lists, events, streams, photos. Routes, what goes in and out, and how values are shown."""
