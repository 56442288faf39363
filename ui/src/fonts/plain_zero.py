#!/usr/bin/python3
"""Makes plain-zero.woff2: the zero of Atkinson Hyperlegible Next without its slash, in every weight, and nothing else.

Words and names are set with it; figures that are read off keep the slash. Run it again when that font changes:
apt-get install python3-fonttools python3-brotli && ui/src/fonts/plain_zero.py
"""
from pathlib import Path

from fontTools.subset import Options, Subsetter
from fontTools.ttLib import TTFont
from fontTools.ttLib.tables._g_l_y_f import GlyphCoordinates

HERE = Path(__file__).parent
FONT = "atkinson-hyperlegible-next-latin-wght-normal.woff2"
SOURCE = HERE / "../../node_modules/@fontsource-variable/atkinson-hyperlegible-next/files" / FONT

# Points of the source's zero: the outline, then the two halves of the hole, which the slash divides.
OUTLINE = 16
OUTER_LEFT, OUTER_RIGHT, OUTER_BOTTOM, OUTER_TOP = 4, 12, 0, 8
HOLE_LEFT, HOLE_RIGHT, HOLE_BOTTOM, HOLE_TOP = 23, 31, 16, 36


def with_hole(points):
    """The outline, and the same shape again, clockwise, in the box of the hole."""
    outline = points[:OUTLINE]

    def fitted(value, axis, from_low, from_high, to_low, to_high):
        low, high = points[from_low][axis], points[from_high][axis]
        share = (value - low) / (high - low)
        return points[to_low][axis] + share * (points[to_high][axis] - points[to_low][axis])

    hole = [
        (
            fitted(x, 0, OUTER_LEFT, OUTER_RIGHT, HOLE_LEFT, HOLE_RIGHT),
            fitted(y, 1, OUTER_BOTTOM, OUTER_TOP, HOLE_BOTTOM, HOLE_TOP),
        )
        for x, y in outline
    ]
    return outline + [hole[0]] + hole[:0:-1]


def rounded(points):
    return [(round(x), round(y)) for x, y in points]


font = TTFont(SOURCE)
zero = font["glyf"]["zero"]
old = list(zero.coordinates)
new = rounded(with_hole(old))
for variation in font["gvar"].variations["zero"]:
    deltas = variation.coordinates
    moved = [(x + dx, y + dy) for (x, y), (dx, dy) in zip(old, deltas)]
    there = rounded(with_hole(moved))
    variation.coordinates = [(a - c, b - d) for (a, b), (c, d) in zip(there, new)] + deltas[-4:]
flags = list(zero.flags[:OUTLINE])
zero.coordinates = GlyphCoordinates(new)
zero.flags = bytearray(flags + [flags[0]] + flags[:0:-1])
zero.endPtsOfContours = [OUTLINE - 1, 2 * OUTLINE - 1]
zero.numberOfContours = 2
zero.recalcBounds(font["glyf"])

options = Options(layout_features=["tnum"], hinting=False, notdef_outline=False)
subsetter = Subsetter(options)
subsetter.populate(text="0")
subsetter.subset(font)
font.flavor = "woff2"
font.save(HERE / "plain-zero.woff2")
