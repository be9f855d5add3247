"""The interface's own description, with what every operation may answer besides what it is for."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

from flask_openapi.openapi import OpenAPI

from vividowl.web.problems import Problem

PROBLEM_TYPE = "application/problem+json"
# What any operation may say, and what those say that take something in.
ALWAYS = {
    401: "Nobody is signed in",
    403: "Not for this member, or sent by another page",
    404: "Not there, or of another shop",
    405: "Not done at this address; Allow says what is",
    409: "It clashes with what is there",
    422: "Something does not fit",
    429: "Too often",
    503: "The database is away; nothing was stored",
}
WRITING = {
    400: "No request that can be read",
    413: "Larger than allowed",
    415: "Of another type",
    507: "The disk is full; nothing was stored",
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
    for path in found["paths"].values():
        for method, operation in path.items():
            if method not in ("get", "post", "put", "delete", "patch"):
                continue
            wanted = {**ALWAYS, **(WRITING if method != "get" else {})}
            answers = operation["responses"]
            for status, words in wanted.items():
                answers.setdefault(str(status), {"description": words})
            for status, answer in answers.items():
                if int(status) >= 400:
                    schema = {"$ref": "#/components/schemas/Problem"}
                    answer["content"] = {PROBLEM_TYPE: {"schema": schema}}
    _as_sentences(schemas)
    return found


def _as_sentences(schemas: dict[str, Any]) -> None:
    """What the core says goes out as a sentence, so that a reader of the interface knows of no codes."""
    for schema in schemas.values():
        for name, field in schema.get("properties", {}).items():
            kinds = [k.get("$ref", "") for k in field.get("anyOf", ())]
            if "#/components/schemas/Message" in kinds:
                schema["properties"][name] = {k: v for k, v in field.items() if k != "anyOf"} | {"type": "string"}
    for name in ("Message", "Several"):
        schemas.pop(name, None)
