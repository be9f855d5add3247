"""The interface's own description, with what every operation may answer besides what it is for."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

from flask_openapi.openapi import OpenAPI

from vividowl.web.problems import Problem

PROBLEM_TYPE = "application/problem+json"
# What any operation may say instead of what it is for; 413, 415 and 507 only where something is taken in.
PROBLEMS = {
    400: "no request that can be read",
    401: "nobody is signed in",
    403: "not for this member, or sent by another page",
    404: "not there, or of another shop",
    405: "not done at this address; Allow says what is",
    409: "it clashes with what is there",
    413: "larger than allowed",
    415: "of another type",
    422: "something does not fit",
    429: "too often",
    503: "the database is away; nothing was stored",
    507: "the disk is full; nothing was stored",
}


KEPT = Path(__file__).with_name("openapi.json")


def kept() -> dict[str, Any]:
    """The OpenAPI document as it was last written, which a test holds to the operations."""
    found: dict[str, Any] = json.loads(KEPT.read_text(encoding="utf-8"))
    return found


def document(app: OpenAPI) -> dict[str, Any]:
    """The OpenAPI document of an application whose blueprints were described."""
    found: dict[str, Any] = app.api_doc
    schemas = found["components"]["schemas"]
    problem = Problem.model_json_schema(mode="serialization", ref_template="#/components/schemas/{model}")
    schemas |= problem.pop("$defs") | {"Problem": problem}
    found["components"]["responses"] = {
        "Problem": {
            "description": "; ".join(f"{status}: {words}" for status, words in PROBLEMS.items()),
            "content": {PROBLEM_TYPE: {"schema": {"$ref": "#/components/schemas/Problem"}}},
        }
    }
    for path in found["paths"].values():
        for method, operation in path.items():
            if method not in ("get", "post", "put", "delete", "patch"):
                continue
            answers = operation["responses"]
            for status in [s for s in answers if int(s) >= 400]:
                del answers[status]
            answers["default"] = {"$ref": "#/components/responses/Problem"}
    for name, schema in schemas.items():
        # What goes out is whole; what comes in may leave out what has a usual value.
        if "properties" in schema and not name.endswith("In"):
            schema["required"] = list(schema["properties"])
    return found
