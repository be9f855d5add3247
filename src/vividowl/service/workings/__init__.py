"""The calculators by name, without a job."""
