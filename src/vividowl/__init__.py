"""Vivid Owl: read the device, judge it with physics and uncertainty, keep the record."""

import os

# The matrices here are small: threads that wait for one another make each fit half as long again. Requests and files
# already use the cores. It has to stand before numpy loads.
os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")
