"""One log read whole, its figures with their uncertainty, and its findings. It knows no second log."""
