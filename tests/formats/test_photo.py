"""Photos: scaled, turned upright, stripped; and what is no photo."""

import io
import struct
import zlib

import pytest
from PIL import ExifTags, Image, ImageChops
from tests.said import refuses

from vividowl.formats.errors import FormatError
from vividowl.formats.photo import LARGE_PX, PHOTO_MOST, SMALL_PX, marked_photo, read_photo


def picture(size=(800, 600), kind="JPEG", mode="RGB", **more):
    out = io.BytesIO()
    Image.new(mode, size, "grey" if mode == "RGB" else (90, 90, 90, 0)).save(out, kind, **more)
    return out.getvalue()


def opened(data):
    return Image.open(io.BytesIO(data))


def with_place(turned=1):
    """A photo that tells where it was taken, by which camera, and how it was held (EXIF 2.3)."""
    exif = Image.Exif()
    exif[ExifTags.Base.Make] = "Somebody's phone"
    exif[ExifTags.Base.Orientation] = turned
    exif.get_ifd(ExifTags.IFD.GPSInfo)[ExifTags.GPS.GPSLatitude] = (52.0, 31.0, 12.0)
    exif.get_ifd(ExifTags.IFD.GPSInfo)[ExifTags.GPS.GPSLatitudeRef] = "N"
    return picture(exif=exif)


def test_place_camera_and_everything_else_beside_the_picture_stays_behind():
    given = with_place()
    assert opened(given).getexif().get_ifd(ExifTags.IFD.GPSInfo)
    taken = read_photo(given)
    for data in (taken.large, taken.small):
        assert not dict(opened(data).getexif())
        assert b"Exif" not in data
        assert b"phone" not in data


def test_a_photo_held_sideways_is_turned_upright():
    taken = read_photo(with_place(turned=6))  # EXIF: turned by a quarter
    assert (taken.width_px, taken.height_px) == (600, 800)


def test_a_large_photo_is_scaled_to_both_sizes():
    taken = read_photo(picture((4000, 3000)))
    assert opened(taken.large).size == (LARGE_PX, 1200)
    assert opened(taken.small).size == (SMALL_PX, 240)


def test_a_small_photo_is_not_blown_up():
    taken = read_photo(picture((200, 100)))
    assert (taken.width_px, taken.height_px) == (200, 100)


@pytest.mark.parametrize(("kind", "mode"), [("PNG", "RGB"), ("PNG", "RGBA"), ("WEBP", "RGB")])
def test_other_kinds_become_jpeg_on_white(kind, mode):
    taken = read_photo(picture((50, 40), kind, mode))
    assert opened(taken.large).format == "JPEG"
    if mode == "RGBA":
        assert min(opened(taken.large).convert("RGB").getpixel((20, 20))) > 250


def bomb(width, height):
    """A small PNG that says it is huge."""
    head = struct.pack(">IIBBBBB", width, height, 8, 2, 0, 0, 0)

    def chunk(kind, data):
        return struct.pack(">I", len(data)) + kind + data + struct.pack(">I", zlib.crc32(kind + data))

    return (
        b"\x89PNG\r\n\x1a\n" + chunk(b"IHDR", head) + chunk(b"IDAT", zlib.compress(b"\0" * 1000)) + chunk(b"IEND", b"")
    )


@pytest.mark.parametrize(
    ("data", "text", "reason"),
    [
        (b"", "no photo that can be read", "not_photo"),
        (b"plain words", "no photo that can be read", "not_photo"),
        (b"\0\0\0\x18ftypmp42" + b"\0" * 500, "no photo that can be read", "not_photo"),  # a video
        (b"GIF89a" + b"\0" * 50, "no photo that can be read", "not_photo"),
        (bomb(30_000, 30_000), "has far too many pixels|has 900 million pixels", "too_large"),
        (bomb(10_000, 9_000), "has 90 million pixels; up to 80 million are taken", "too_large"),
        (picture((900, 700))[:400], "ends in the middle|no photo that can be read", "not_photo"),
        (b"\xff" * (PHOTO_MOST + 1), "has 30 MB; photos up to 30 MB are taken", "too_large"),
    ],
)
def test_what_is_no_photo_is_refused_with_a_remedy(data, text, reason):
    with refuses(FormatError, match=text) as caught:
        read_photo(data)
    assert caught.value.reason == reason
    assert caught.value.remedy


def test_marks_are_drawn_where_they_are_and_nowhere_else():
    out = io.BytesIO()
    Image.new("RGB", (400, 300), (128, 128, 128)).save(out, "JPEG")
    with Image.open(io.BytesIO(marked_photo(out.getvalue(), [(0.25, 0.5)]))) as marked:
        assert marked.size == (400, 300)
        grey = ImageChops.difference(marked.convert("L"), Image.new("L", marked.size, 128)).point(
            lambda v: 255 * (v > 40)
        )
        left, top, right, bottom = grey.getbbox()
    # A ring of an eighth of the longer side around a quarter of the width and half of the height.
    assert ((left + right) / 2, (top + bottom) / 2) == (pytest.approx(100, abs=3), pytest.approx(150, abs=3))
    assert 40 <= right - left <= 66
