"""Sensor logs in: text, workbooks, JSON lines, Parquet; stamps, numbers, columns. No reading of what they say."""
