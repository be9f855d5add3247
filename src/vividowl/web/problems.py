"""Errors as problem details (RFC 9457). No traceback ever leaves."""

from __future__ import annotations

import errno
from http import HTTPStatus
from typing import Any

import structlog
from flask import Flask, Response, request
from flask_limiter.errors import RateLimitExceeded
from flask_wtf.csrf import CSRFError
from psycopg.errors import DiskFull
from pydantic import BaseModel, ConfigDict, ValidationError
from sqlalchemy.exc import DataError, DBAPIError, IntegrityError, OperationalError
from sqlalchemy.exc import TimeoutError as NoConnection
from sqlalchemy.orm.exc import StaleDataError
from werkzeug.exceptions import HTTPException, MethodNotAllowed, RequestEntityTooLarge

from vividowl.core.quantities.errors import CoreError
from vividowl.core.quantities.words import Words, say
from vividowl.service.errors import Refused
from vividowl.store.scope import NotFound
from vividowl.words import sentence

log = structlog.get_logger()
STATUS = {"invalid": 422, "conflict": 409, "forbidden": 403, "missing": 404, "gone": 410, "full": 507, "busy": 503}
# What is busy is asked for again after this.
AGAIN_S = 20


class FieldError(BaseModel):
    """What is wrong with one field."""

    model_config = ConfigDict(json_schema_serialization_defaults_required=True)
    field: str
    message: str
    remedy: str = ""


class Problem(BaseModel):
    """Problem details. reason is a short word that programs can tell apart; stage: where it is settled; headers are
    columns of a refused log."""

    model_config = ConfigDict(json_schema_serialization_defaults_required=True)
    type: str = "about:blank"
    title: str
    status: int
    detail: str
    remedy: str = ""
    reason: str = ""
    stage: str = ""
    errors: list[FieldError] = []
    headers: list[str] = []


def answer(problem: Problem) -> Response:
    """A problem as a response."""
    return Response(problem.model_dump_json(), status=problem.status, mimetype="application/problem+json")


def _problem(status: int, detail: Words, remedy: Words = "", **more: Any) -> Response:  # noqa: ANN401
    title = HTTPStatus(status).phrase
    return answer(Problem(title=title, status=status, detail=sentence(detail), remedy=sentence(remedy), **more))


def _field_error(field: str, message: Words, remedy: Words = "") -> FieldError:
    return FieldError(field=field, message=sentence(message), remedy=sentence(remedy))


def on_refused(error: Refused) -> Response:
    """A use case refused."""
    status = 401 if error.reason == "signed_out" else STATUS[error.kind]
    errors = [_field_error(error.field, error.detail, error.remedy)] if error.field else []
    response = _problem(
        status,
        error.detail,
        remedy=error.remedy,
        reason=error.reason,
        stage=error.stage,
        errors=errors,
        headers=[str(h) for h in error.extra.get("headers", ())],
    )
    return _again(response) if status == STATUS["busy"] else response


def _again(response: Response) -> Response:
    """With the time after which to come again."""
    response.headers["Retry-After"] = str(AGAIN_S)
    return response


def on_rule(error: CoreError) -> Response:
    """A rule of the core refused its input: it names field and remedy itself."""
    errors = [_field_error(error.field, error.message, error.remedy)] if error.field else []
    return _problem(422, error.message, error.remedy, errors=errors)


_SAID = {
    "missing": say("problems-this-needed"),
    "string_too_long": say("problems-this-too-long"),
    "string_too_short": say("problems-this-needed"),
    "extra_forbidden": say("problems-there-no-such-field"),
    "float_parsing": say("problems-this-no-number"),
    "int_parsing": say("problems-this-no-whole-number"),
    "float_type": say("problems-this-no-number"),
    "int_type": say("problems-this-no-whole-number"),
    "string_pattern_mismatch": say("problems-this-holds-character-that-cannot"),
    "json_invalid": say("problems-body-no-json"),
}


def on_invalid(error: ValidationError) -> Response:
    """A body or query that does not fit its schema."""
    errors = []
    for e in error.errors(include_url=False, include_context=False, include_input=False):
        message = _SAID.get(e["type"], e["msg"] + ("" if e["msg"].endswith(".") else "."))
        errors.append(_field_error(".".join(str(x) for x in e["loc"]), message))
    names = ", ".join(e.field.replace("_", " ") or "body" for e in errors)
    return _problem(
        422,
        say("problems-please-check", names=names),
        errors=errors,
        remedy=say("problems-correct-marked-fields-and-send"),
    )


def on_http(error: HTTPException) -> Response:
    """What Flask itself refuses."""
    if isinstance(error, RequestEntityTooLarge):
        return _problem(
            413,
            say("problems-larger-than-allowed-logs-and"),
            reason="too_large",
            remedy=say("problems-log-fewer-sensors-or-take"),
        )
    if isinstance(error, RateLimitExceeded):
        # Retry-After is added by the limiter, which knows when its window ends.
        return _problem(
            429, say("problems-too-many-attempts-in-short"), remedy=say("problems-wait-minute-and-try-again")
        )
    if isinstance(error, MethodNotAllowed):
        response = _problem(
            405, say("problems-not-done-here", method=request.method), remedy=say("problems-see-description-interface")
        )
        response.headers["Allow"] = ", ".join(sorted(error.valid_methods or ()))
        return response
    if isinstance(error, CSRFError):
        return _problem(
            403, say("problems-page-too-old-to-send"), reason="csrf", remedy=say("problems-reload-page-what-you-typed")
        )
    status = error.code or 500
    if status == 404:
        return _problem(
            404, say("problems-there-nothing-at", path=request.path), remedy=say("problems-go-back-to-bench")
        )
    return _problem(status, error.description or error.name)


def on_missing(error: NotFound) -> Response:
    """A row that is not there, or not in this shop."""
    return _problem(404, say("missing-row", kind=error.kind), remedy=say("problems-go-back-to-bench"))


def on_database(error: DBAPIError) -> Response:
    """The database refused or is away."""
    if isinstance(error, IntegrityError):
        return _problem(409, say("problems-this-clashes-with-what-stored"), remedy=say("problems-reload-and-try-again"))
    if isinstance(error, DataError):
        return _problem(
            422, say("problems-something-here-cannot-be-stored"), remedy=say("problems-correct-and-send-again")
        )
    if isinstance(error.orig, DiskFull):
        return on_full_disk()
    log.error("database", error=str(error.orig))
    if isinstance(error, OperationalError):
        return on_no_connection(error)
    return _problem(
        500,
        say("problems-database-refused-this-nothing-was"),
        remedy=say("problems-try-again-if-stays-see"),
    )


def on_no_connection(_error: OperationalError | NoConnection) -> Response:
    """The database is away, or others hold all connections to it."""
    words = say("problems-database-does-not-answer-nothing")
    return _again(_problem(503, words, remedy=say("problems-try-again-in-moment")))


def on_stale(_error: StaleDataError) -> Response:
    """Somebody else wrote the row between reading and writing."""
    return _problem(409, say("problems-changed-meanwhile"), say("workshop-your-typing-kept-load-newer"), reason="stale")


def on_full_disk() -> Response:
    """No space is left."""
    log.error("disk full")
    return _problem(
        507,
        say("problems-disk-full-nothing-was-stored"),
        reason="disk_full",
        remedy=say("problems-free-some-space-on-machine"),
    )


def on_os(error: OSError) -> Response:
    """The system refused."""
    return on_full_disk() if error.errno in (errno.ENOSPC, errno.EDQUOT) else on_fault(error)


def on_text(_error: UnicodeError) -> Response:
    """Half of a character, as some programs write it into JSON."""
    return _problem(
        422, say("problems-this-holds-character-that-cannot"), remedy=say("problems-take-out-and-send-again")
    )


def on_depth(_error: RecursionError) -> Response:
    """JSON in JSON in JSON."""
    return _problem(422, say("problems-this-nested-too-deeply"), remedy=say("problems-send-as-interface-describes"))


def on_fault(error: Exception) -> Response:
    """Anything unforeseen: logged in full, told in a line."""
    log.exception("fault", path=request.path, error=repr(error))
    return _problem(
        500, say("problems-something-went-wrong-here-nothing"), remedy=say("problems-try-again-if-stays-see")
    )


def install(app: Flask) -> None:
    """One handler a family."""
    app.register_error_handler(Refused, on_refused)
    app.register_error_handler(NotFound, on_missing)
    app.register_error_handler(CoreError, on_rule)
    app.register_error_handler(UnicodeError, on_text)
    app.register_error_handler(RecursionError, on_depth)
    app.register_error_handler(OSError, on_os)
    app.register_error_handler(HTTPException, on_http)
    app.register_error_handler(StaleDataError, on_stale)
    app.register_error_handler(DBAPIError, on_database)
    app.register_error_handler(NoConnection, on_no_connection)
    app.register_error_handler(Exception, on_fault)
