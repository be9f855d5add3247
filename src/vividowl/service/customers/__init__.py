"""Customers: who they are, all that is kept of one, and how the shop forgets one."""
