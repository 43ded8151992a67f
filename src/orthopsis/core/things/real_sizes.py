"""How large are things of a street in truth, mm? What is added where the eye's height is stated begins so large.

All values from memory, each with where it is published; those without a source are common practice.
"""

GAUGE = 1435.0
"""Between the rails of a standard track (EN 13848, UIC)."""
RAIL_HEAD, RAIL_HIGH = 72.0, 172.0
"""How wide the head of a rail 60E1 is and how high the rail (EN 13674)."""
SLEEPER_LONG, SLEEPER_DEEP, SLEEPER_THICK, SLEEPER_APART = 2600.0, 260.0, 160.0, 600.0
"""A wooden sleeper (EN 13145), and from one to the next (custom of the railways)."""
LANE = 3650.0
"""A lane of a road (AASHTO; DMRB CD 127)."""
KERB, PAVEMENT = 125.0, 2000.0
"""How high a kerb stands over the road, and a pavement's usual width (common practice, no source)."""
TALL = {
    "figure": 1700.0, "bollard": 1000.0, "fence": 1200.0, "lamp": 5000.0, "pole": 8000.0, "tree": 8000.0,
    "fir": 12000.0, "boat": 7000.0,
}  # fmt: skip
"""A grown person (anthropometric tables); the rest common practice, no source. Hills have no usual height."""
