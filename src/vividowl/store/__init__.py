"""Rows and files. Every row belongs to a shop; every query goes through a scope."""
