"""Files from outside are read in a process of their own: what a file can do to its reader it cannot do to the server.

Two readers are kept warm. Each is watched while it works: beyond the time or the memory that a file may cost it is
ended, the file is refused in words, and the next one meets a fresh reader.
"""

from __future__ import annotations

import atexit
import contextlib
import importlib
import os
import queue
import resource
import subprocess
import sys
import threading
import time
import warnings
from collections.abc import Callable
from multiprocessing.connection import Connection, Pipe
from pathlib import Path
from typing import Any, TypeVar

from vividowl.core.quantities.words import Words, say
from vividowl.formats.errors import FormatError

Result = TypeVar("Result")

READERS = 2
TIME_MOST_S = 90.0
# So long one waits for a reader, and so many do at a time: who waits holds a connection, and the others want one too.
QUEUE_MOST_S, QUEUE_MOST = 45.0, 8
MEMORY_MOST = 2 * 2**30
# The address space holds far more than the memory that is used; this only stops what would ask for it in one go.
SPACE_MOST = 12 * 2**30
# A reader that has swollen so far is exchanged once it is done: what it holds does not come back by itself.
SWOLLEN = 700 * 2**20
_LOOK_S = 0.05
_PAGE = os.sysconf("SC_PAGE_SIZE")
WARM = (
    "vividowl.service.measure.log_reading",
    "vividowl.formats.sound_file",
    "vividowl.core.sound.recording",
    "vividowl.formats.photo",
)


class _Reader:
    """One process and the line to it."""

    def __init__(self) -> None:
        ours, theirs = Pipe()
        self.line: Connection = ours
        self.process = subprocess.Popen(
            [sys.executable, "-m", "vividowl.formats.apart", str(theirs.fileno())],
            pass_fds=[theirs.fileno()],
            stdin=subprocess.DEVNULL,
            cwd="/",
            env={
                **os.environ,
                "MALLOC_MMAP_THRESHOLD_": "1048576",
                "PYTHONPATH": os.pathsep.join(filter(None, sys.path)),
            },
        )
        theirs.close()

    def memory(self) -> int:
        """Memory that it holds now [bytes]."""
        try:
            return int(Path(f"/proc/{self.process.pid}/statm").read_text().split()[1]) * _PAGE
        except (OSError, ValueError, IndexError):
            return 0

    def end(self) -> None:
        """End it at once."""
        self.process.kill()
        self.process.wait()
        self.line.close()


_free: queue.LifoQueue[_Reader | None] = queue.LifoQueue()
for _ in range(READERS):
    _free.put(None)
_all: set[_Reader] = set()
_lock = threading.Lock()


def warm_up() -> None:
    """Start the readers before the first file comes."""
    taken = [_free.get() for _ in range(READERS)]
    for reader in taken:
        _free.put(reader if reader is not None else _fresh())


def read_apart(
    task: Callable[..., Result],
    *given: Any,  # noqa: ANN401 - whatever the task takes
    name: Words,
    time_most_s: float = TIME_MOST_S,
    memory_most: int = MEMORY_MOST,
) -> Result:
    """What a task makes of a file, worked out in another process.

    task: a function of a module, by name; given: its arguments; name: of the file, for the words of a refusal.
    Raises what the task raises, FormatError when the file costs too much or ends its reader, and one with the reason
    busy when all readers are at work for others.
    """
    reader = _next_free(name)
    keep: _Reader | None = None
    try:
        reader = reader if reader is not None and reader.process.poll() is None else _fresh()
        try:
            reader.line.send((task.__module__, task.__qualname__, given))
            good, value = _answer(reader, name, time_most_s, memory_most)
        except (EOFError, OSError) as error:
            raise _too_much(name, say("apart-its-reader-broke-down-over")) from error
        if reader.memory() < SWOLLEN:
            keep = reader
    finally:
        if keep is None and reader is not None:
            _gone(reader)
        _free.put(keep)
    if good:
        return value  # type: ignore[no-any-return]
    raise value


_waiting = threading.BoundedSemaphore(QUEUE_MOST)


def _next_free(name: Words) -> _Reader | None:
    busy = FormatError(say("apart-busy", name=name), remedy=say("apart-busy-remedy"), reason="busy")
    with contextlib.suppress(queue.Empty):
        return _free.get_nowait()
    if not _waiting.acquire(blocking=False):
        raise busy
    try:
        return _free.get(timeout=QUEUE_MOST_S)
    except queue.Empty:
        raise busy from None
    finally:
        _waiting.release()


def _answer(reader: _Reader, name: Words, time_most_s: float, memory_most: int) -> tuple[bool, Any]:
    began = time.monotonic()
    while not reader.line.poll(_LOOK_S):
        if reader.process.poll() is not None and not reader.line.poll():
            raise EOFError
        if time.monotonic() - began > time_most_s:
            raise _too_much(name, say("apart-takes-longer-than-s", time_most_s=time_most_s))
        if reader.memory() > memory_most:
            raise _too_much(name, say("apart-takes-more-than-gb-memory", memory_most=memory_most / 2**30))
    answer: tuple[bool, Any] = reader.line.recv()
    return answer


def _too_much(name: Words, why: Words) -> FormatError:
    return FormatError(
        say("apart-cannot-be-read-nothing-was", name=name, why=why),
        reason="too_heavy",
        remedy=say("apart-cut-to-run-or-export"),
    )


def _fresh() -> _Reader:
    reader = _Reader()
    with _lock:
        _all.add(reader)
    return reader


def _gone(reader: _Reader) -> None:
    with _lock:
        _all.discard(reader)
    reader.end()


@atexit.register
def _end_all() -> None:
    with _lock:
        readers = list(_all)
    for reader in readers:
        with contextlib.suppress(OSError):
            reader.end()


def main(line: Connection) -> None:
    """The other side: take a task, answer, until the line is closed."""
    os.umask(0o077)
    # What a broken file makes of the arithmetic is for its refusal to say, not for the terminal.
    warnings.simplefilter("ignore")
    resource.setrlimit(resource.RLIMIT_AS, (SPACE_MOST, SPACE_MOST))
    resource.setrlimit(resource.RLIMIT_CORE, (0, 0))
    for module in WARM:
        importlib.import_module(module)
    while True:
        try:
            module, name, given = line.recv()
        except (EOFError, OSError):
            return
        try:
            answer: tuple[bool, Any] = (True, getattr(importlib.import_module(module), name)(*given))
        except MemoryError:
            answer = (
                False,
                FormatError(
                    say("apart-file-takes-more-memory-than"), remedy=say("apart-cut-to-run"), reason="too_heavy"
                ),
            )
        except Exception as error:
            answer = (False, error)
        try:
            line.send(answer)
        except (BrokenPipeError, OSError):
            return


if __name__ == "__main__":
    main(Connection(int(sys.argv[1])))
