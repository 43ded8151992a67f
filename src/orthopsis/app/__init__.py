"""The web application: routers, sessions, background work. Thin: parse, call, answer."""
