"""Whatever is asked, in the form the application says it takes or in none, is never answered with a failure.

The cases are made from the application's own description of itself, by schemathesis and hypothesis. ``CASES`` in all;
with ``ORTHOPSIS_TEST_CASES`` set, so many.
"""

import itertools
import os

import schemathesis
from fastapi.testclient import TestClient
from hypothesis import HealthCheck, Phase, given, settings
from schemathesis import Case
from schemathesis.generation import GenerationMode
from schemathesis.schemas import APIOperation

CASES = int(os.environ.get("ORTHOPSIS_TEST_CASES", "250"))
LEFT_ALONE = {"/api/sign-out", "/api/sign-in", "/api/sign-in/demo"}
"""Signing in and out would end the session that the other cases are asked in."""


def _ask(teacher: TestClient, case: Case) -> None:
    sent = case.as_transport_kwargs(base_url="http://testserver")
    sent.pop("cookies", None)
    sent["headers"] = {name: text for name, text in dict(sent.get("headers") or {}).items() if text.isascii()}
    if isinstance(sent.get("data"), bytes | str):
        sent["content"] = sent.pop("data")
    try:
        answer = teacher.request(**sent)
    except (UnicodeError, ValueError):
        return  # No browser could have said this.
    said = str(sent.get("json", sent.get("content", "")))[:400]
    assert answer.status_code < 500, f"{case.method} {sent['url'][:300]} {said}: {answer.text[:200]}"


def _operations(teacher: TestClient) -> list[APIOperation]:
    described = teacher.app.openapi()  # type: ignore[attr-defined]
    found = (result.ok() for result in schemathesis.openapi.from_dict(described).get_all_operations())
    return [operation for operation in found if operation.path not in LEFT_ALONE]


def test_any_request_is_answered(teacher: TestClient) -> None:
    operations = _operations(teacher)
    assert len(operations) > 40
    each = max(2, CASES // (2 * len(operations)))
    asked = 0
    for operation, mode in itertools.product(operations, GenerationMode):
        if mode is GenerationMode.NEGATIVE and not (operation.body or operation.path_parameters or operation.query):
            continue

        @settings(max_examples=each, database=None, phases=[Phase.generate], suppress_health_check=list(HealthCheck))
        @given(case=operation.as_strategy(generation_mode=mode))
        def ask(case: Case) -> None:
            nonlocal asked
            asked += 1
            _ask(teacher, case)

        ask()
    print(f"{asked} requests to {len(operations)} operations")
    assert asked >= CASES / 2
