"""What is wrong with a value, in a teacher's words rather than a validator's."""

from collections.abc import Callable
from typing import Any

_WORDS = {
    "string_too_short": "it is empty",
    "string_pattern_mismatch": "it has a character that cannot stand here, such as a full stop",
    "finite_number": "it is no number that can be drawn",
    "float_parsing": "it is no number",
    "float_type": "it is no number",
    "int_parsing": "it is no whole number",
    "int_type": "it is no whole number",
    "string_type": "it is no text",
    "bool_type": "it is neither yes nor no",
    "missing": "it is missing",
    "extra_forbidden": "this Orthopsis does not know it",
    "model_type": "it is made otherwise",
    "dict_type": "it is made otherwise",
    "tuple_type": "it is no list",
    "list_type": "it is no list",
}


def fault_words(fault: dict[str, Any], written: Callable[[float], str] = lambda value: f"{value:g}") -> tuple[str, str]:
    """Return why a value cannot be, and the nearest that can as text, empty where there is none.

    Args:
        fault: one of the errors that a validation has found.
        written: how a number is written for the class.
    """
    limits, kind = fault.get("ctx", {}), str(fault["type"])
    if kind in ("greater_than_equal", "greater_than"):
        least = float(limits.get("ge", limits.get("gt", 0.0)))
        more = "more than " if "gt" in limits else "at least "
        return f"it must be {more}{written(least)}", "" if "gt" in limits else written(least)
    if kind in ("less_than_equal", "less_than"):
        most = float(limits.get("le", limits.get("lt", 0.0)))
        return f"it may be {written(most)} at most", written(most)
    if kind == "string_too_long":
        return f"it may have {limits['max_length']} characters at most", ""
    if kind in ("too_long", "too_short"):
        bound = limits.get("max_length", limits.get("min_length"))
        return f"it may have {bound} {'at most' if kind == 'too_long' else 'at least'}", ""
    if kind == "literal_error":
        return f"it must be {limits['expected']}", ""
    return _WORDS.get(kind, str(fault["msg"]).removeprefix("Value error, ")), ""
