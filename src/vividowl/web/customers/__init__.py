"""Customers: found, taken out whole, erased. Routes, and what goes in and out."""
