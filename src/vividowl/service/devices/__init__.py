"""Use cases of devices: which one a job is a visit of, two put together or taken apart, their history. No reading."""
