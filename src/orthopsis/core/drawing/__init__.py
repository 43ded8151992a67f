"""The picture of a scene: what is ruled, what is seen, which tone it has, where it can be taken hold of."""
