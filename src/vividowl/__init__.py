"""Vivid Owl: thermal service of laptops, consoles and handhelds."""
