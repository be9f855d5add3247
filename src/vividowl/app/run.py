"""Serve as the environment says. Database and files are somebody else's to run and to save."""

from __future__ import annotations

import multiprocessing
import multiprocessing.connection
import signal
import sys
from functools import partial
from multiprocessing.process import BaseProcess

from pydantic import ValidationError
from sqlalchemy.exc import SQLAlchemyError

from vividowl.app.opening import Unsettled, open_workshop, tidy
from vividowl.app.serving import make_server
from vividowl.service.measure.anew import make_anew
from vividowl.settings import Settings
from vividowl.store.database import UnknownRevision
from vividowl.web.app import create_app


def serve(settings: Settings) -> None:
    """Serve in this process until it is told to end."""
    workshop = open_workshop(settings)
    server = make_server(
        create_app(workshop, settings),
        settings.port,
        settings.threads,
        address=settings.address,
        shared=settings.workers > 1,
    )
    try:
        with workshop.database.serving(partial(tidy, workshop)):
            workshop.later(partial(make_anew, workshop))
            server.serve()
    except KeyboardInterrupt:
        pass
    finally:
        workshop.database.feed.close()
        server.stop()
        workshop.database.close()


def _begin(settings: Settings) -> None:
    signal.signal(signal.SIGTERM, signal.default_int_handler)
    serve(settings)


def _serve_in(settings: Settings) -> int:
    """Serve in as many processes as were asked for. When one of them ends all do: whoever runs this starts it again."""
    context = multiprocessing.get_context("spawn")
    workers: list[BaseProcess] = [context.Process(target=_begin, args=(settings,)) for _ in range(settings.workers)]

    asked: list[int] = []

    def end(number: int = 0, _frame: object = None) -> None:
        asked.append(number)
        for worker in workers:
            if worker.pid is not None and worker.is_alive():
                worker.terminate()

    signal.signal(signal.SIGTERM, end)
    signal.signal(signal.SIGINT, end)
    for worker in workers:
        worker.start()
    multiprocessing.connection.wait([worker.sentinel for worker in workers])
    end()
    for worker in workers:
        worker.join()
    # A worker that was ended while it began has no code of its own.
    return 0 if asked[0] else max(abs(worker.exitcode or 0) for worker in workers) or 1


def main() -> int:
    """Read the settings, bring the tables to this version, and serve."""
    try:
        settings = Settings()  # type: ignore[call-arg]  # from the environment
        workshop = open_workshop(settings, migrate=True)
    except ValidationError as error:
        for found in error.errors():
            name = "VIVIDOWL_" + "_".join(str(part) for part in found["loc"]).upper()
            print(f"vividowl: {name}: {found['msg']}.", file=sys.stderr)
        return 2
    except Unsettled as error:
        print(f"vividowl: {error}", file=sys.stderr)
        return 2
    except (UnknownRevision, SQLAlchemyError) as error:
        print(f"vividowl: the database cannot be used: {str(error).splitlines()[0]}", file=sys.stderr)
        return 1
    workshop.database.close()
    print(f"Vivid Owl is at http://{settings.address}:{settings.port}/", flush=True)
    if settings.workers > 1:
        return _serve_in(settings)
    _begin(settings)
    return 0
