#!/usr/bin/env python3
"""Chances of lengths in two directions by ten million seeded draws with numpy (Debian package python3-numpy), an independent reference for
core/src/Loop/Resultant.php. Run it to write plane_numpy.json.
"""
import json
import pathlib

import numpy as np

U, T, N, M = "uniform", "triangular", "normal", "measured"
CASES = [
    ("two uniform", [(3, 0.2, 0, U), (4, 0.3, 90, U)], (4.8, 5.1)),
    ("small beside its doubt", [(0.05, 0.1, 0, U), (0.02, 0.08, 90, T)], (0.0, 0.09)),
    ("measured and uniform on each", [(0.3, 0.05, 10, M), (0.1, 0.04, 10, U), (-0.2, 0.06, 100, N), (0.05, 0.02, 280, U)], (0.4, 0.5)),
    ("skew", [(10, 0.1, 0, U), (8, 0.08, 50, U), (6, 0.1, 100, T), (5, 0.07, 160, U)], (16.6, 16.75)),
]


def draw(rng, spread, half, n):
    if spread == U:
        return rng.uniform(-half, half, n)
    if spread == T:
        return rng.triangular(-half, 0, half, n)
    return rng.normal(0, half / (3 if spread == N else 2), n)


rows = []
for name, offsets, (low, high) in CASES:
    rng = np.random.default_rng(11)
    n = 10_000_000
    x, y = np.zeros(n), np.zeros(n)
    for size, half, deg, spread in offsets:
        at = size + draw(rng, spread, half, n)
        x += at * np.cos(np.radians(deg))
        y += at * np.sin(np.radians(deg))
    r = np.hypot(x, y)
    angles = {o[2] % 90 for o in offsets}
    rows.append({
        "name": name, "offsets": [{"size": s, "half": h, "deg": d, "spread": k} for s, h, d, k in offsets], "low": low, "high": high, "skew": len(angles) > 1,
        "drawn": float(np.mean((r >= low) & (r <= high))), "p025": float(np.quantile(r, 0.025)), "p975": float(np.quantile(r, 0.975)),
    })
pathlib.Path(__file__).with_name("plane_numpy.json").write_text(json.dumps({"numpy": np.__version__, "cases": rows}, indent=1) + "\n")
