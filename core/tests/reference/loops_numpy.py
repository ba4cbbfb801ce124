#!/usr/bin/env python3
"""Chances of loops by numpy and scipy (Debian package python3-scipy), an independent reference for core/src/Loop: convolution on a very fine
grid by FFT, and ten million seeded draws beside it. Run it to write loops_numpy.json; with --draw it times one loop of twelve lengths with a
million draws and prints seconds and the chance, for bin/bench.
"""
import json
import pathlib
import sys
import time

import numpy as np
import scipy
from scipy.signal import fftconvolve
from scipy.stats import norm

U, T, N, M = "uniform", "triangular", "normal", "measured"
CASES = {
    "two uniform": ([(U, 0.05), (U, 0.02)], (-0.03, 0.04)),
    "three uniform alike": ([(U, 0.05)] * 3, (-0.05, 0.05)),
    "uniform and triangular": ([(U, 0.04), (T, 0.06)], (-0.02, 0.08)),
    "normal and measured": ([(N, 0.03), (M, 0.02)], (-0.015, 0.02)),
    "uniform and a small normal": ([(U, 0.05), (N, 0.003)], (-0.049, 0.02)),
    "five mixed": ([(U, 0.05), (T, 0.03), (N, 0.06), (M, 0.01), (U, 0.002)], (-0.04, 0.03)),
    "one dwarfs the rest": ([(U, 0.5), (U, 0.01), (T, 0.02)], (-0.3, 0.499)),
    "twelve uniform": ([(U, 0.01 + 0.004 * i) for i in range(12)], (-0.05, 0.06)),
    "two hundred uniform": ([(U, 0.02)] * 200, (-0.2, 0.25)),
}
TWELVE = [([U, T, N][i % 3], 0.05 + 0.0015 * i) for i in range(12)]


def fft(parts, low, high):
    """Each part as a density on one fine grid, convolved by FFT; normal parts cut at 8 sigma."""
    span = sum(h if s in (U, T) else (h * 8 / 3 if s == N else h * 4) for s, h in parts)
    step = span / 200000
    total = None
    sigma2 = sum((h / 3) ** 2 if s == N else (h / 2) ** 2 for s, h in parts if s in (N, M))
    for s, h in [p for p in parts if p[0] in (U, T)]:
        n = int(round(h / step))
        x = np.arange(-n - 1, n + 2) * step
        edges = lambda z: np.clip((z + h) / (2 * h), 0, 1) if s == U else np.where(z < 0, np.clip((z + h), 0, None) ** 2 / (2 * h * h), 1 - np.clip(h - z, 0, None) ** 2 / (2 * h * h))
        mass = edges(x + step / 2) - edges(x - step / 2)
        total = mass if total is None else fftconvolve(total, mass)
    if total is None:
        return float(norm.cdf(high / sigma2**0.5) - norm.cdf(low / sigma2**0.5))
    x = (np.arange(len(total)) - len(total) // 2) * step
    if sigma2 > 0:
        s = sigma2**0.5
        return float(np.sum(total * (norm.cdf((high - x) / s) - norm.cdf((low - x) / s))))
    share = lambda at: np.sum(total * np.clip((at - x) / step + 0.5, 0, 1))
    return float(share(high) - share(low))


def draw(parts, low, high, count, rng):
    total = np.zeros(count)
    for s, h in parts:
        total += {U: lambda: rng.uniform(-h, h, count), T: lambda: rng.triangular(-h, 0, h, count), N: lambda: rng.normal(0, h / 3, count), M: lambda: rng.normal(0, h / 2, count)}[s]()
    return float(np.mean((total >= low) & (total <= high)))


if __name__ == "__main__":
    if "--draw" in sys.argv:
        start = time.perf_counter()
        chance = draw(TWELVE, -0.12, 0.15, 1_000_000, np.random.default_rng(1))
        print(f"{time.perf_counter() - start:.4f} {chance:.6f} {fft(TWELVE, -0.12, 0.15):.6f}")
        raise SystemExit
    rng = np.random.default_rng(20261125)
    out = {"source": f"numpy {np.__version__}, scipy {scipy.__version__}; made by loops_numpy.py", "cases": []}
    for name, (parts, (low, high)) in CASES.items():
        drawn = None if len(parts) > 20 else sum(draw(parts, low, high, 1_000_000, rng) for _ in range(10)) / 10
        out["cases"].append({"name": name, "parts": [{"spread": s, "half": h} for s, h in parts], "low": low, "high": high, "fft": fft(parts, low, high), "drawn": drawn})
    path = pathlib.Path(__file__).with_suffix(".json")
    path.write_text(json.dumps(out, indent=1) + "\n")
    for case in out["cases"]:
        print(case["name"], case["fft"], case["drawn"])
