"""Products, lots, offcuts and their moves; what a shop knows of its materials. Who books is decided elsewhere."""
