"""The Idempotency-Key header of writes."""

from __future__ import annotations

import hashlib
from collections.abc import Callable
from functools import wraps
from typing import Any, TypeVar

from flask import Response, make_response, request

from vividowl.service import idempotency
from vividowl.web.access import actor, workshop

View = TypeVar("View", bound=Callable[..., Any])
HEADER = "Idempotency-Key"


def idempotent(view: View) -> View:
    """Honour the key: done once, answered alike. Refusals are not kept."""

    @wraps(view)
    def once(*args: Any, **kwargs: Any) -> Any:  # noqa: ANN401
        key = request.headers.get(HEADER, "")
        if not key:
            return view(*args, **kwargs)
        told = f"{request.method} {request.full_path}".encode() + request.get_data(cache=True)

        def work() -> idempotency.Reply:
            response = make_response(view(*args, **kwargs))
            return idempotency.Reply(response.status_code, response.get_data(as_text=True))

        reply = idempotency.once(
            workshop(), actor(), key=key, request_sha256=hashlib.sha256(told).hexdigest(), work=work
        )
        return Response(reply.body, status=reply.status, mimetype="application/json")

    return once  # type: ignore[return-value]
