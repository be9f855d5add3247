"""Open formats in and out. Readers convert to the core's units at the edge and name file, line or column."""
