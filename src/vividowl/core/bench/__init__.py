"""Work with hands: what must come before what, what is looked at, screws, waits, mishaps. Steps and log lie inside."""
