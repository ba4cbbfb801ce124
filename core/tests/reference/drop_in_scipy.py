#!/usr/bin/env python3
"""Two parts cooling in air, each one lump with its own heat loss, integrated numerically with scipy (Debian package
python3-scipy): an independent reference for core/src/Joint/DropIn. Also chances of a uniform plus a normal, by
numerical integration, for core/src/Joint/Chance. Run it to write drop_in_scipy.json; the tests only read that file.
"""
import json
import math
import pathlib

import scipy
from scipy.integrate import quad, solve_ivp
from scipy.stats import norm

CASES = [
    # d, interference, h, room, inner (rho c alpha outside bore length T), outer likewise
    {"d": 60.0, "delta": 0.060, "h": 10.0, "room": 20.0, "inner": [7850, 480, 11.5e-6, 60, 0, 60, 20], "outer": [7850, 480, 11.5e-6, 110, 60, 50, 220]},
    {"d": 30.0, "delta": 0.035, "h": 25.0, "room": 18.0, "inner": [8900, 380, 18e-6, 30, 22, 40, -18], "outer": [7150, 490, 10.5e-6, 60, 30, 40, 120]},
    {"d": 25.0, "delta": 0.021, "h": 10.0, "room": 20.0, "inner": [7850, 480, 11.5e-6, 25, 0, 200, 20], "outer": [7810, 475, 11.9e-6, 52, 25, 15, 110]},
    {"d": 45.0, "delta": 0.030, "h": 60.0, "room": 22.0, "inner": [7870, 480, 11.7e-6, 45, 0, 50, -78], "outer": [2680, 963, 21.5e-6, 90, 45, 40, 22]},
]
LOWER_BY, SPAN = 0.25, 216.0


def strain(alpha, celsius):
    dt = celsius - 20
    return alpha * dt if dt >= 0 else alpha * dt * (1 - LOWER_BY * -dt / SPAN)


def solve(case):
    def rate(part):
        rho, c, _, outside, bore, length, _ = part
        volume = math.pi / 4 * (outside**2 - bore**2) * length * 1e-9
        area = (math.pi / 2 * (outside**2 - bore**2) + math.pi * (outside + bore) * length) * 1e-6
        return case["h"] * area / (rho * c * volume)

    ki, ko = rate(case["inner"]), rate(case["outer"])
    right = lambda t, y: [-ki * (y[0] - case["room"]), -ko * (y[1] - case["room"])]
    gap = lambda y: case["d"] * (strain(case["outer"][2], y[1]) - strain(case["inner"][2], y[0])) - case["delta"]
    closes = lambda t, y: gap(y)
    closes.terminal = True
    start = [case["inner"][6], case["outer"][6]]
    run = solve_ivp(right, (0, 36000), start, events=closes, rtol=1e-10, atol=1e-10, dense_output=True)
    end = float(run.t_events[0][0]) if len(run.t_events[0]) else None
    half = None if end is None else float(gap(run.sol(end / 2)))
    return {**case, "gap_at_start_mm": gap(start), "grips_after_s": end, "gap_half_way_mm": half}


def chance(low, high, sigma, x):
    value, _ = quad(lambda u: norm.cdf((x - u) / sigma) / (high - low), low, high, epsabs=1e-13)
    return {"low": low, "high": high, "sigma": sigma, "x": x, "below": value}


if __name__ == "__main__":
    out = {
        "source": f"scipy {scipy.__version__}, solve_ivp and quad; made by drop_in_scipy.py",
        "drop_in": [solve(c) for c in CASES],
        "chance": [chance(*c) for c in [(0.001, 0.035, 0.002, 0.0), (0.001, 0.035, 0.002, 0.01), (0.001, 0.035, 0.004, 0.036), (-0.01, 0.01, 0.02, 0.005), (0.02, 0.021, 0.003, 0.0155), (0.0, 0.03, 0.0005, 0.0299)]],
        "normal": [{"z": z, "below": float(norm.cdf(z))} for z in (-6.0, -3.2, -1.0, 0.0, 0.5, 1.959963985, 3.5, 3.6, 5.0)],
    }
    path = pathlib.Path(__file__).with_suffix(".json")
    path.write_text(json.dumps(out, indent=2) + "\n")
    print(path.read_text())
