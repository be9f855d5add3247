"""Tasks that cost too much, for readers that are watched: a reader finds them by their module."""

import os
import time

import numpy as np

from vividowl.formats import apart


def hog(size):
    block = np.ones(size // 8)
    time.sleep(30)
    return float(block[0])


def ask_for_too_much():
    return len(bytearray(apart.SPACE_MOST))


def die():
    os._exit(3)


def who():
    return os.getpid()
