"""What a device answers to power: resistances, the parts of its response, the curve after the load, the ladder."""
