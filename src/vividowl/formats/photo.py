"""Photos: read, turned upright, scaled, and written anew without anything that the camera put beside the picture."""

from __future__ import annotations

import io
import warnings
from dataclasses import dataclass
from typing import TYPE_CHECKING

from vividowl.formats.errors import FormatError

if TYPE_CHECKING:
    from PIL.Image import Image as Picture

PHOTO_MOST = 30 * 1024 * 1024
PIXELS_MOST = 80_000_000
# Only a JPEG can be read at a smaller size; the others are unpacked whole, at some twenty bytes a pixel.
WHOLE_PIXELS_MOST = 50_000_000
LARGE_PX, SMALL_PX = 1600, 320
KINDS = ("JPEG", "PNG", "WEBP")
_REMEDY = "Take it as JPEG, PNG or WebP."


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
        raise FormatError(f"The photo has {len(data) / 2**20:.0f} MB; photos up to {PHOTO_MOST // 2**20} MB are taken.",
                          remedy="Take it at a lower resolution, or crop it.", reason="too_large")  # fmt: skip
    try:
        with warnings.catch_warnings():
            # A picture far larger than it says is looked at below, by its own size, before any pixel is made.
            warnings.simplefilter("ignore", Image.DecompressionBombWarning)
            picture = Image.open(io.BytesIO(data), formats=KINDS)
    except (UnidentifiedImageError, OSError, SyntaxError, ValueError, Image.DecompressionBombError) as error:
        if isinstance(error, Image.DecompressionBombError):
            raise _too_many(0) from error
        raise FormatError("This is no photo that can be read.", remedy=f"{_REMEDY} Videos are not taken.",
                          reason="not_photo") from error  # fmt: skip
    pixels = picture.width * picture.height
    if pixels > (PIXELS_MOST if picture.format == "JPEG" else WHOLE_PIXELS_MOST):
        raise _too_many(pixels)
    try:
        if picture.format == "JPEG":
            picture.draft("RGB", (LARGE_PX, LARGE_PX))
        upright = ImageOps.exif_transpose(picture)
        flat = _flat(upright)
    except (OSError, SyntaxError, ValueError, Image.DecompressionBombError) as error:
        raise FormatError("The photo is damaged: it ends in the middle.", remedy="Take it again.",
                          reason="not_photo") from error  # fmt: skip
    large = flat.copy()
    large.thumbnail((LARGE_PX, LARGE_PX), Image.Resampling.LANCZOS)
    small = large.copy()
    small.thumbnail((SMALL_PX, SMALL_PX), Image.Resampling.LANCZOS)
    return ScaledPhoto(_jpeg(large, 84), _jpeg(small, 78), large.width, large.height)


def _too_many(pixels: int) -> FormatError:
    seen = f"has {pixels / 1e6:.0f} million pixels" if pixels else "has far too many pixels"
    return FormatError(f"The photo {seen}; up to {PIXELS_MOST // 10**6} million are taken as JPEG, "
                       f"{WHOLE_PIXELS_MOST // 10**6} million as PNG or WebP.",
                       remedy="Take it at a lower resolution.", reason="too_large")  # fmt: skip


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
