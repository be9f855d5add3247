"""What may be done to a device, what it buys with what uncertainty, what it costs, what stops it. No bench work."""
