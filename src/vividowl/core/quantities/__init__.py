"""Values and their handling: units, uncertainty, change, and what is refused. Nothing of heat, sound or devices."""
