"""What the shop keeps of a model, and its exchange with other shops."""
