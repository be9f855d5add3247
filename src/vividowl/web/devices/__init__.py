"""Devices and their visits: routes, schemas, present."""
