"""Heat through layers, into air and to the skin; rise over the room. No log is read here, no material chosen."""
