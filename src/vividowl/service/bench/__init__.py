"""Work with hands: the list, its events and what they change, photos, minutes, and the story for the record."""
