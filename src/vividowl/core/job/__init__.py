"""A job as a whole: the hazards at its door and its stages."""
