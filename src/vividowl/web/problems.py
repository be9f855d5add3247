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
from werkzeug.exceptions import HTTPException, MethodNotAllowed, RequestEntityTooLarge

from vividowl.service.errors import Refused
from vividowl.store.scope import NotFound

log = structlog.get_logger()
STATUS = {"invalid": 422, "conflict": 409, "forbidden": 403, "missing": 404, "full": 507}


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


def _problem(status: int, detail: str, **more: Any) -> Response:  # noqa: ANN401
    return answer(Problem(title=HTTPStatus(status).phrase, status=status, detail=detail, **more))


def on_refused(error: Refused) -> Response:
    """A use case refused."""
    status = 401 if error.reason == "signed_out" else STATUS[error.kind]
    errors = [FieldError(field=error.field, message=error.detail, remedy=error.remedy)] if error.field else []
    return _problem(
        status, error.detail, remedy=error.remedy, reason=error.reason, stage=error.stage, errors=errors,
        headers=[str(h) for h in error.extra.get("headers", ())],
    )  # fmt: skip


def on_rule(error: ValueError) -> Response:
    """A rule of the core refused its input: it names field and remedy itself. Any other ValueError is a fault."""
    if not hasattr(error, "remedy"):
        return on_fault(error)
    field, remedy = str(getattr(error, "field", "")), str(getattr(error, "remedy", ""))
    errors = [FieldError(field=field, message=str(error), remedy=remedy)] if field else []
    return _problem(422, str(error), remedy=remedy, errors=errors)


_SAID = {
    "missing": "This is needed.", "string_too_long": "This is too long.", "string_too_short": "This is needed.",
    "extra_forbidden": "There is no such field.", "float_parsing": "This is no number.",
    "int_parsing": "This is no whole number.",
    "float_type": "This is no number.", "int_type": "This is no whole number.",
    "string_pattern_mismatch": "This holds a character that cannot be stored.", "json_invalid": "The body is no JSON.",
}  # fmt: skip


def on_invalid(error: ValidationError) -> Response:
    """A body or query that does not fit its schema."""
    errors = []
    for e in error.errors(include_url=False, include_context=False, include_input=False):
        message = _SAID.get(e["type"], e["msg"] + ("" if e["msg"].endswith(".") else "."))
        errors.append(FieldError(field=".".join(str(x) for x in e["loc"]), message=message))
    names = ", ".join(e.field.replace("_", " ") or "body" for e in errors)
    return _problem(422, f"Please check: {names}.", errors=errors, remedy="Correct the marked fields and send again.")


def on_http(error: HTTPException) -> Response:
    """What Flask itself refuses."""
    if isinstance(error, RequestEntityTooLarge):
        return _problem(413, "Larger than allowed: logs and recordings 200 MB, photos 30 MB, others 1 MB.",
                        reason="too_large", remedy="Log fewer sensors, or take the photo smaller.")  # fmt: skip
    if isinstance(error, RateLimitExceeded):
        # Retry-After is added by the limiter, which knows when its window ends.
        return _problem(429, "Too many attempts in a short time.", remedy="Wait a minute and try again.")
    if isinstance(error, MethodNotAllowed):
        response = _problem(405, f"{request.method} is not done here.", remedy="See the description of the interface.")
        response.headers["Allow"] = ", ".join(sorted(error.valid_methods or ()))
        return response
    if isinstance(error, CSRFError):
        return _problem(403, "The page is too old to send this.", reason="csrf",
                        remedy="Reload the page; what you typed is kept.")  # fmt: skip
    status = error.code or 500
    if status == 404:
        return _problem(404, f"There is nothing at {request.path}.", remedy="Go back to the Bench.")
    return _problem(status, error.description or error.name)


def on_missing(error: NotFound) -> Response:
    """A row that is not there, or not in this shop."""
    return _problem(404, str(error), remedy="Go back to the Bench.")


def on_database(error: DBAPIError) -> Response:
    """The database refused or is away."""
    if isinstance(error, IntegrityError):
        return _problem(409, "This clashes with what is stored already.", remedy="Reload and try again.")
    if isinstance(error, DataError):
        return _problem(422, "Something here cannot be stored: a number too large, or a character that is none.",
                        remedy="Correct it and send again.")  # fmt: skip
    if isinstance(error.orig, DiskFull):
        return on_full_disk()
    log.error("database", error=str(error.orig))
    if isinstance(error, OperationalError):
        return _problem(503, "The database does not answer. Nothing was stored.", remedy="Try again in a moment.")
    return _problem(
        500,
        "The database refused this. Nothing was stored.",
        remedy="Try again; if it stays, see var/vividowl.log on its machine.",
    )


def on_full_disk() -> Response:
    """No space is left."""
    log.error("disk full")
    return _problem(507, "The disk is full. Nothing was stored.", reason="disk_full",
                    remedy="Free some space on the machine that runs the shop, then send again.")  # fmt: skip


def on_os(error: OSError) -> Response:
    """The system refused."""
    return on_full_disk() if error.errno in (errno.ENOSPC, errno.EDQUOT) else on_fault(error)


def on_text(_error: UnicodeError) -> Response:
    """Half of a character, as some programs write it into JSON."""
    return _problem(422, "This holds a character that cannot be stored.", remedy="Take it out and send again.")


def on_depth(_error: RecursionError) -> Response:
    """JSON in JSON in JSON."""
    return _problem(422, "This is nested too deeply.", remedy="Send it as the interface describes it.")


def on_fault(error: Exception) -> Response:
    """Anything unforeseen: logged in full, told in a line."""
    log.exception("fault", path=request.path, error=repr(error))
    return _problem(500, "Something went wrong here. Nothing was stored.",
                    remedy="Try again; if it stays, see var/vividowl.log on its machine.")  # fmt: skip


def install(app: Flask) -> None:
    """One handler a family."""
    app.register_error_handler(Refused, on_refused)
    app.register_error_handler(NotFound, on_missing)
    app.register_error_handler(ValueError, on_rule)
    app.register_error_handler(UnicodeError, on_text)
    app.register_error_handler(RecursionError, on_depth)
    app.register_error_handler(OSError, on_os)
    app.register_error_handler(HTTPException, on_http)
    app.register_error_handler(DBAPIError, on_database)
    app.register_error_handler(Exception, on_fault)
