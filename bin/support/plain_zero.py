#!/usr/bin/python3
"""Takes the slash out of the zero of Atkinson Hyperlegible Next, in every weight.

Words and names are set with a plain zero, on the page and on the signed card; figures that are read off keep the
slash. Makes ui/src/fonts/plain-zero.woff2, which holds nothing but that zero, and changes the card's fonts in
app/fonts. Run it again when that font changes:
apt-get install python3-fonttools python3-brotli && bin/support/plain_zero.py
"""
from pathlib import Path

from fontTools.subset import Options, Subsetter
from fontTools.ttLib import TTFont
from fontTools.ttLib.tables._g_l_y_f import GlyphCoordinates

ROOT = Path(__file__).parents[2]
PAGE = "ui/node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2"
PLAIN_ZERO = "ui/src/fonts/plain-zero.woff2"
CARD = ["app/fonts/Regular.ttf", "app/fonts/Bold.ttf"]

# Contours of a zero with a slash: the outline, then the two halves of the hole.
WITH_SLASH = 3
# Points of the outline, and the points where outline and hole reach farthest.
OUTLINE = 16
OUTER_LEFT, OUTER_RIGHT, OUTER_BOTTOM, OUTER_TOP = 4, 12, 0, 8
HOLE_LEFT, HOLE_RIGHT, HOLE_BOTTOM, HOLE_TOP = 23, 31, 16, 36


def round_the_other_way(contour):
    return [contour[0]] + contour[:0:-1]


def with_whole_hole(points):
    """The outline, and the same shape again in the box of the hole, the other way round."""

    def fitted(value, axis, from_low, from_high, to_low, to_high):
        low, high = points[from_low][axis], points[from_high][axis]
        share = (value - low) / (high - low)
        return points[to_low][axis] + share * (points[to_high][axis] - points[to_low][axis])

    outline = points[:OUTLINE]
    hole = [
        (
            fitted(x, 0, OUTER_LEFT, OUTER_RIGHT, HOLE_LEFT, HOLE_RIGHT),
            fitted(y, 1, OUTER_BOTTOM, OUTER_TOP, HOLE_BOTTOM, HOLE_TOP),
        )
        for x, y in outline
    ]
    return [(round(x), round(y)) for x, y in outline + round_the_other_way(hole)]


def take_slash_out(font):
    zero = font["glyf"]["zero"]
    old = list(zero.coordinates)
    new = with_whole_hole(old)
    for variation in font["gvar"].variations["zero"] if "gvar" in font else []:
        deltas = variation.coordinates
        there = with_whole_hole([(x + dx, y + dy) for (x, y), (dx, dy) in zip(old, deltas)])
        phantoms = deltas[len(old) :]
        variation.coordinates = [(a - c, b - d) for (a, b), (c, d) in zip(there, new)] + phantoms
    outline = list(zero.flags[:OUTLINE])
    zero.coordinates = GlyphCoordinates(new)
    zero.flags = bytearray(outline + round_the_other_way(outline))
    zero.endPtsOfContours = [OUTLINE - 1, 2 * OUTLINE - 1]
    zero.numberOfContours = 2
    zero.recalcBounds(font["glyf"])


page = TTFont(ROOT / PAGE, recalcTimestamp=False)
take_slash_out(page)
zero_only = Subsetter(Options(layout_features=["tnum"], hinting=False, notdef_outline=False))
zero_only.populate(text="0")
zero_only.subset(page)
page.flavor = "woff2"
page.save(ROOT / PLAIN_ZERO)

for path in CARD:
    card = TTFont(ROOT / path, recalcTimestamp=False)
    if card["glyf"]["zero"].numberOfContours == WITH_SLASH:
        take_slash_out(card)
        card.save(ROOT / path)
