"""The record of a job as it leaves the house: its data file and the keys that sign it."""
