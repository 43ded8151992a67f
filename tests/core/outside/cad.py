"""Exact hidden lines from a CAD kernel: the visible pieces of solids seen by an eye, on the page."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray
from OCP.BRep import BRep_Tool
from OCP.BRepAlgoAPI import BRepAlgoAPI_Fuse
from OCP.BRepBuilderAPI import (
    BRepBuilderAPI_MakeFace,
    BRepBuilderAPI_MakePolygon,
    BRepBuilderAPI_MakeSolid,
    BRepBuilderAPI_Sewing,
)
from OCP.BRepLib import BRepLib
from OCP.gp import gp_Ax2, gp_Dir, gp_Pnt
from OCP.HLRAlgo import HLRAlgo_Projector
from OCP.HLRBRep import HLRBRep_Algo, HLRBRep_HLRToShape
from OCP.ShapeUpgrade import ShapeUpgrade_UnifySameDomain
from OCP.TopAbs import TopAbs_EDGE, TopAbs_SHELL
from OCP.TopExp import TopExp, TopExp_Explorer
from OCP.TopoDS import TopoDS, TopoDS_Shape, TopoDS_Wire

from orthopsis.core.sight.hidden import Seen
from orthopsis.core.sight.solid import Solid
from orthopsis.core.view.eye import Eye

Segments = list[tuple[NDArray[np.float64], NDArray[np.float64]]]


def visible_segments(solids: list[Solid], eye: Eye) -> Segments:
    """Return the visible pieces as pairs of page points (mm)."""
    return visible_pieces([shape_of(solid) for solid in solids], eye)


def united(solids: Sequence[Solid]) -> TopoDS_Shape:
    """Return solids made one: where faces of them lie in one plane and touch, no seam is left."""
    shape = shape_of(solids[0])
    for solid in solids[1:]:
        shape = BRepAlgoAPI_Fuse(shape, shape_of(solid)).Shape()
    unify = ShapeUpgrade_UnifySameDomain(shape, True, True, False)
    unify.Build()
    return unify.Shape()


def visible_pieces(shapes: Sequence[TopoDS_Shape], eye: Eye) -> Segments:
    """Return the visible pieces of shapes as pairs of page points (mm)."""
    algorithm = HLRBRep_Algo()
    for shape in shapes:
        algorithm.Add(shape)
    # The kernel is right-handed and looks along -n: our z is turned round.
    focus = eye.distance_mm
    axes = gp_Ax2(gp_Pnt(0, 0, -focus), gp_Dir(0, 0, 1), gp_Dir(1, 0, 0))
    algorithm.Projector(HLRAlgo_Projector(axes, focus))
    algorithm.Update()
    algorithm.Hide()
    result = HLRBRep_HLRToShape(algorithm)
    segments: Segments = []
    for compound in (result.VCompound(), result.OutLineVCompound()):
        if compound is not None and not compound.IsNull():
            segments += _segments(compound, eye)
    return segments


def set_back(things: Sequence[Seen]) -> list[Solid]:
    """Return the solids layer behind layer, each layer enlarged about the eye."""
    result, reach = [], 0.0
    for layer in sorted({seen.layer for seen in things}):
        solids = [seen.solid for seen in things if seen.layer == layer]
        depths = np.concatenate([solid.places[:, 2] for solid in solids])
        factor = max(1.0, 1.001 * reach / depths.min())
        reach = depths.max() * factor
        result += [Solid(solid.topology, solid.places * factor) for solid in solids]
    return result


def shape_of(solid: Solid) -> TopoDS_Shape:
    """Return a solid as the kernel knows it."""
    sewing = BRepBuilderAPI_Sewing()
    for face in solid.faces:
        outline, *holes = (_wire(solid, loop) for loop in face.loops)
        maker = BRepBuilderAPI_MakeFace(outline)
        for hole in holes:
            maker.Add(hole)
        sewing.Add(maker.Face())
    sewing.Perform()
    explorer, maker = TopExp_Explorer(sewing.SewedShape(), TopAbs_SHELL), BRepBuilderAPI_MakeSolid()
    while explorer.More():  # a shape may consist of several pieces
        maker.Add(TopoDS.Shell(explorer.Current()))
        explorer.Next()
    return maker.Solid()


def _wire(solid: Solid, loop: tuple[str, ...]) -> TopoDS_Wire:
    polygon = BRepBuilderAPI_MakePolygon()
    for corner in loop:
        x, y, z = solid.places[solid.index(corner)]
        polygon.Add(gp_Pnt(float(x), float(y), float(-z)))
    polygon.Close()
    return polygon.Wire()


def _segments(compound: TopoDS_Shape, eye: Eye) -> Segments:
    BRepLib.BuildCurves3d_s(compound)
    px, py = eye.principal.xy
    result: Segments = []
    explorer = TopExp_Explorer(compound, TopAbs_EDGE)
    while explorer.More():
        edge = TopoDS.Edge(explorer.Current())
        ends = [BRep_Tool.Pnt_s(vertex(edge)) for vertex in (TopExp.FirstVertex_s, TopExp.LastVertex_s)]
        a, b = (np.array([p.X() + px, p.Y() + py]) for p in ends)
        result.append((a, b))
        explorer.Next()
    return result
