"""Photos: read, turned upright, scaled, and written anew without anything that the camera put beside the picture."""

from __future__ import annotations

import io
import warnings
from collections.abc import Sequence
from dataclasses import dataclass
from typing import TYPE_CHECKING

from vividowl.core.quantities.words import say
from vividowl.formats.errors import FormatError

if TYPE_CHECKING:
    from PIL.Image import Image as Picture

PHOTO_MOST = 30 * 1024 * 1024
PIXELS_MOST = 80_000_000
# Only a JPEG can be read at a smaller size; the others are unpacked whole, at some twenty bytes a pixel.
WHOLE_PIXELS_MOST = 50_000_000
LARGE_PX, SMALL_PX = 1600, 320
KINDS = ("JPEG", "PNG", "WEBP")
_INK = "#22252b"
_REMEDY = say("photo-take-as-jpeg-png-or")


@dataclass(frozen=True)
class ScaledPhoto:
    """large and small: JPEG bytes whose longer side is 1600 and 320 px at most; width and height of the large one."""

    large: bytes
    small: bytes
    width_px: int
    height_px: int


def read_photo(data: bytes) -> ScaledPhoto:
    """Read a photo. Only pixels go on: place, time, camera and thumbnails stay behind."""
    from PIL import Image, ImageOps, UnidentifiedImageError  # here, since most requests need none

    if len(data) > PHOTO_MOST:
        raise FormatError(
            say("photo-photo-has-mb-photos-up", data=len(data) / 2**20, photo_most=PHOTO_MOST // 2**20),
            reason="too_large",
        )
    try:
        with warnings.catch_warnings():
            # A picture far larger than it says is looked at below, by its own size, before any pixel is made.
            warnings.simplefilter("ignore", Image.DecompressionBombWarning)
            picture = Image.open(io.BytesIO(data), formats=KINDS)
    except (UnidentifiedImageError, OSError, SyntaxError, ValueError, Image.DecompressionBombError) as error:
        if isinstance(error, Image.DecompressionBombError):
            raise _too_many(0) from error
        raise FormatError(say("photo-this-no-photo-that-can", remedy=_REMEDY), reason="not_photo") from error
    pixels = picture.width * picture.height
    if pixels > (PIXELS_MOST if picture.format == "JPEG" else WHOLE_PIXELS_MOST):
        raise _too_many(pixels)
    try:
        if picture.format == "JPEG":
            picture.draft("RGB", (LARGE_PX, LARGE_PX))
        upright = ImageOps.exif_transpose(picture)
        flat = _flat(upright)
    except (OSError, SyntaxError, ValueError, Image.DecompressionBombError) as error:
        raise FormatError(say("photo-photo-damaged-ends-in-middle"), reason="not_photo") from error
    large = flat.copy()
    large.thumbnail((LARGE_PX, LARGE_PX), Image.Resampling.LANCZOS)
    small = large.copy()
    small.thumbnail((SMALL_PX, SMALL_PX), Image.Resampling.LANCZOS)
    return ScaledPhoto(_jpeg(large, 84), _jpeg(small, 78), large.width, large.height)


def _too_many(pixels: int) -> FormatError:
    seen = (
        say("photo-has-million-pixels", pixels=pixels / 1000000.0) if pixels else say("photo-has-far-too-many-pixels")
    )
    return FormatError(
        say(
            "photo-photo-up-to-million-taken",
            seen=seen,
            pixels_most=PIXELS_MOST // 10**6,
            whole_pixels_most=WHOLE_PIXELS_MOST // 10**6,
        ),
        remedy=say("photo-take-at-lower-resolution"),
        reason="too_large",
    )


def _flat(picture: Picture) -> Picture:
    """On white, since a JPEG knows no transparency."""
    from PIL import Image

    if picture.mode in ("RGBA", "LA", "PA") or "transparency" in picture.info:
        shown = picture.convert("RGBA")
        ground = Image.new("RGBA", shown.size, "white")
        return Image.alpha_composite(ground, shown).convert("RGB")
    return picture.convert("RGB")


def _jpeg(picture: Picture, quality: int) -> bytes:
    out = io.BytesIO()
    picture.save(out, "JPEG", quality=quality, optimize=True)
    return out.getvalue()


def marked_photo(jpeg: bytes, marks: Sequence[tuple[float, float]]) -> bytes:
    """A photo with numbered rings drawn into it, for paper. marks (n, 2): x and y as shares of its width and height."""
    from PIL import Image, ImageDraw, ImageFont

    with Image.open(io.BytesIO(jpeg)) as opened:
        picture = opened.convert("RGB")
    draw, wide = ImageDraw.Draw(picture), max(picture.size)
    radius, line = wide / 16, max(2, wide // 110)
    font = ImageFont.load_default(size=wide / 14)
    for number, (x, y) in enumerate(marks, 1):
        at = (x * picture.width, y * picture.height)
        ring = [at[0] - radius, at[1] - radius, at[0] + radius, at[1] + radius]
        # Dark on a light rim, so that it shows on any device.
        draw.ellipse(ring, outline="white", width=3 * line)
        draw.ellipse([ring[0] + line, ring[1] + line, ring[2] - line, ring[3] - line], outline=_INK, width=line)
        draw.text(at, str(number), fill=_INK, anchor="mm", font=font, stroke_width=line, stroke_fill="white")
    return _jpeg(picture, 88)
