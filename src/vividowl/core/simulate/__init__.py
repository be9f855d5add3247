"""Made-up devices and their sounds, for demo and tests."""
