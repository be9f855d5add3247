"""Levels and recordings: background, third octaves, tones, fan speed. Whether it became quieter is the verdict's."""
