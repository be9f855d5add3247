"""Pictures of the made-up shop: fins behind a fan, dusty and clean, drawn from nothing."""

from __future__ import annotations

import io

import numpy as np

WIDTH, HEIGHT = 1200, 800


def fins_picture(clean: bool, near: bool = False) -> bytes:
    """A photo-like picture of fins behind a fan's outlet, as JPEG: all of them, or some from near."""
    from PIL import Image, ImageDraw, ImageFilter

    rng = np.random.default_rng(7 if clean else 8)
    picture = Image.new("RGB", (WIDTH, HEIGHT), (44, 46, 50))
    draw = ImageDraw.Draw(picture)
    for i, x in enumerate(range(60, WIDTH - 60, 22)):
        shade = 150 + (i % 3) * 14
        draw.rectangle((x, 150, x + 9, 640), fill=(shade, shade, shade + 6))
        draw.line((x, 150, x, 640), fill=(210, 212, 216), width=2)
    draw.rectangle((40, 110, WIDTH - 40, 150), fill=(176, 108, 70))
    draw.rectangle((40, 640, WIDTH - 40, 676), fill=(120, 122, 126))
    if not clean:
        for _ in range(2600):
            left, top = rng.normal(WIDTH / 2, 300), 640 - abs(rng.normal(0, 150))
            r = rng.uniform(6, 34)
            tone = int(rng.uniform(96, 140))
            draw.ellipse((left - r, top - r / 2, left + r, top + r / 2), fill=(tone, tone - 6, tone - 16))
        picture = picture.filter(ImageFilter.GaussianBlur(2.2))
    if near:
        picture = picture.resize((WIDTH, HEIGHT), box=(450, 380, 870, 660))
    grain = rng.normal(0, 6, (HEIGHT, WIDTH, 1))
    light = np.linspace(1.08, 0.84, WIDTH)[None, :, None]
    pixels = np.clip(np.asarray(picture, dtype=float) * light + grain, 0, 255).astype(np.uint8)
    out = io.BytesIO()
    Image.fromarray(pixels).save(out, "JPEG", quality=82)
    return out.getvalue()
