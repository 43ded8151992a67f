"""Short codes for printed sheets: no letters that are taken for figures."""

import secrets

_LETTERS = "23456789ABCDEFGHJKLMNPQRSTUVWXYZ"


def new_code(length: int = 8) -> str:
    """Return a random code; eight characters make about 10^12 of them."""
    return "".join(secrets.choice(_LETTERS) for _ in range(length))
