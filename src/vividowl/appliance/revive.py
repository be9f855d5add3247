"""Comes back after a crash: what serves is a child of a process that holds nothing but what it takes to make another.

The parent has loaded the program and does nothing: no thread, no connection, no file. So a child that the system ends
(no memory left, a library that breaks) is followed at once by one that finds everything as it was stored.
"""

from __future__ import annotations

import contextlib
import os
import signal
import sys
import threading
import time
from collections.abc import Callable
from types import FrameType

# A child that did not live this long never served; the next follow more and more slowly, so that a fault at every start
# burns nothing.
SETTLED_S = 1.0
PAUSES_S = (0.0, 0.5, 2.0, 5.0)
_ASKED = {signal.SIGINT, signal.SIGTERM}


class _Parent:
    """Passes on what it is asked, and knows that it was."""

    def __init__(self) -> None:
        self.child = 0
        self.asked = False

    def pass_on(self, _number: int, _frame: FrameType | None) -> None:
        self.asked = True
        if self.child:
            with contextlib.suppress(ProcessLookupError):
                os.kill(self.child, signal.SIGTERM)


def _stop(_number: int, _frame: FrameType | None) -> None:
    for one in _ASKED:  # once is enough, and a second one would disturb the stopping
        signal.signal(one, signal.SIG_IGN)
    raise KeyboardInterrupt


def _end_with_parent(line: int) -> None:
    os.read(line, 1)  # nothing ever comes; it ends when the parent does
    os.kill(os.getpid(), signal.SIGTERM)


def stands(work: Callable[[bool], int]) -> int:
    """Do the work in a child until it ends by itself; its exit code.

    work: told whether an earlier child broke off. SIGINT and SIGTERM reach it as KeyboardInterrupt, once. A child that
    a signal ended is followed by another one; a child whose parent was ended stops too.
    """
    parent = _Parent()
    held, lives = os.pipe()
    again, pause = False, 0
    while not parent.asked:
        signal.pthread_sigmask(signal.SIG_BLOCK, _ASKED)
        parent.child = os.fork()
        if not parent.child:
            os.close(lives)
            for one in _ASKED:
                signal.signal(one, _stop)
            threading.Thread(target=_end_with_parent, args=(held,), name="parent", daemon=True).start()
            signal.pthread_sigmask(signal.SIG_UNBLOCK, _ASKED)
            raise SystemExit(work(again))
        began = time.monotonic()
        for one in _ASKED:
            signal.signal(one, parent.pass_on)
        signal.pthread_sigmask(signal.SIG_UNBLOCK, _ASKED)
        _, status = os.waitpid(parent.child, 0)
        parent.child = 0
        code = os.waitstatus_to_exitcode(status)
        if code >= 0 or parent.asked:
            return code if code >= 0 else 128 - code
        pause = 0 if time.monotonic() - began > SETTLED_S else min(pause + 1, len(PAUSES_S) - 1)
        print(f"vividowl: what served was ended by signal {-code} and starts again.", file=sys.stderr, flush=True)
        time.sleep(PAUSES_S[pause])
        again = True
    return 130
