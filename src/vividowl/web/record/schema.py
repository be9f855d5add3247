"""Write the schema of record.json anew: python -m vividowl.web.record.schema > docs/record.schema.json"""

from __future__ import annotations

import json

from vividowl.web.record.schemas import RecordOut

TITLE = "record.json of a data file"


def schema() -> str:
    """The schema of record.json (JSON Schema, draft 2020-12), as it is published."""
    found = RecordOut.model_json_schema(mode="serialization")
    # Which other versions there are is told by the interface and stands in no file. What came later than the first
    # files has a value where it is missing, so that those still fit.
    del found["properties"]["versions"]
    late = {"versions", *(name for name, what in found["properties"].items() if "default" in what)}
    found["required"] = [name for name in found["required"] if name not in late]
    told = {"$schema": "https://json-schema.org/draft/2020-12/schema", **found, "title": TITLE}
    return json.dumps(told, indent=1, ensure_ascii=False, sort_keys=True)


if __name__ == "__main__":
    print(schema())
