"""The published JSON Schema of the exercise document, made from the models."""

from typing import Any

from orthopsis.core.document.document import SCHEMA, Exercise
from orthopsis.core.document.thing_models import THING_MODELS


def exercise_schema() -> dict[str, Any]:
    """Return the JSON Schema of the exercise document, things included."""
    schema = Exercise.model_json_schema(by_alias=True)
    definitions = schema.setdefault("$defs", {})
    definitions.pop("ThingDocument", None)
    names = []
    for model in THING_MODELS.values():
        part = model.model_json_schema(ref_template="#/$defs/{model}")
        part.pop("$defs", None)
        part["required"] = ["kind", "name"]
        definitions[model.__name__] = part
        names.append({"$ref": f"#/$defs/{model.__name__}"})
    schema["properties"]["things"]["items"] = {"oneOf": names}
    schema["required"] = ["schema"]
    return {"$schema": "https://json-schema.org/draft/2020-12/schema", "$id": SCHEMA, **schema}
