"""What may be done to a device, with parts, price and prediction; what was chosen, and what came of it."""
