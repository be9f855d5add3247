"""The web tier: thin. Load, authorise, act, dump."""
