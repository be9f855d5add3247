"""The made-up shop: invented makers, models and customers; logs from the project's own simulator."""
