#!/usr/bin/env python3
"""Sizes, tapers and ovalities of read bores by least squares, and chances of a size by quadrature: another way round than
the core's. Plain Python: QR by Householder reflections instead of normal equations, Simpson's rule instead of the closed
form. Writes form_python.json beside itself."""
import json, math, os, random


def least_squares(rows, values):
    """Householder QR."""
    a = [list(map(float, r)) + [float(v)] for r, v in zip(rows, values)]
    m, n = len(a), len(a[0]) - 1
    for k in range(n):
        norm = math.sqrt(sum(a[i][k] ** 2 for i in range(k, m)))
        alpha = -math.copysign(norm, a[k][k])
        v = [a[i][k] for i in range(k, m)]
        v[0] -= alpha
        vv = sum(x * x for x in v)
        for j in range(k, n + 1):
            s = 2 * sum(v[i - k] * a[i][j] for i in range(k, m)) / vv
            for i in range(k, m):
                a[i][j] -= s * v[i - k]
    x = [0.0] * n
    for k in reversed(range(n)):
        x[k] = (a[k][n] - sum(a[k][j] * x[j] for j in range(k + 1, n))) / a[k][k]
    return x, math.sqrt(sum(a[i][n] ** 2 for i in range(n, m)))


def phi(x):
    return 0.5 * math.erfc(-x / math.sqrt(2))


def simpson(f, a, b, n=4000):
    h = (b - a) / n
    return h / 3 * sum((1 if i in (0, n) else 4 if i % 2 else 2) * f(a + i * h) for i in range(n + 1))


random.seed(20261129)
forms = []
for case in range(8):
    stations, angles = [3, 3, 5, 4, 2, 3, 3, 6][case], [4, 2, 4, 3, 4, 4, 8, 4][case]
    size, oval, at, taper, noise = random.uniform(12, 90), random.uniform(0.02, 0.05), random.uniform(0, 180), random.uniform(0.015, 0.04) * random.choice((-1, 1)), 0.0015
    if angles == 2:
        at = random.choice((0.0, 90.0))
    readings, rows, values = [], [], []
    for s in range(stations):
        for a in range(angles):
            if case == 6 and random.random() < 0.2:
                continue
            deg, z = 180 * a / angles, s / (stations - 1) - 0.5
            mm = round(size + taper * z + oval / 2 * math.cos(2 * math.radians(deg - at)) + random.gauss(0, noise), 4)
            readings.append([s + 1, deg, mm])
            t = 2 * math.radians(deg)
            rows.append([1.0, z, math.cos(t)] + ([] if angles == 2 else [math.sin(t)]))
            values.append(mm)
    x, rest = least_squares(rows, values)
    p, q = x[2], x[3] if angles > 2 else 0.0
    amplitude = math.hypot(p, q)
    forms.append({
        "readings": readings, "mean": x[0], "taper": x[1], "ovality": 2 * amplitude,
        "at": math.degrees(math.atan2(q, p)) / 2 % 180,
        "smallest": x[0] - amplitude - abs(x[1]) / 2, "largest": x[0] + amplitude + abs(x[1]) / 2,
        "residual": rest / math.sqrt(len(values) - len(x)),
    })

chances = []
for case in range(14):
    shaft = case % 2 == 0
    size, form, sigma, check = random.uniform(10, 80), random.choice((0.0, random.uniform(0, 0.02))), random.uniform(0.002, 0.02), random.choice((0.0, random.uniform(0.0005, 0.004)))
    least = random.uniform(-0.01, 0.03)
    most = least + form + random.uniform(0.02, 0.08)
    small, large = size - form / 2, size + form / 2
    low, high = (large - most, small - least) if shaft else (large + least, small + most)
    half = random.uniform(0.0, 0.02)
    middle = (low + high) / 2 + random.uniform(-0.01, 0.01)

    def works(made):
        # The mate off by d: normal density times whether it then works, the check's own error folded in by quadrature.
        s = math.hypot(sigma, check)
        g = lambda d: math.exp(-d * d / (2 * s * s)) / (s * math.sqrt(2 * math.pi))
        a, b = max(made - high, -9 * s), min(made - low, 9 * s)
        return simpson(g, a, b) if b > a else 0.0
    n = 200
    over = works(middle) if half == 0 else simpson(works, middle - half, middle + half, n) / (2 * half)
    chances.append({"shaft": shaft, "small": small, "large": large, "sigma": sigma, "check": check, "least": least, "most": most, "from": middle - half, "to": middle + half, "at_middle": works(middle), "over": over})

with open(os.path.join(os.path.dirname(os.path.abspath(__file__)), "form_python.json"), "w") as out:
    json.dump({"forms": forms, "chances": chances}, out, indent=1)
    out.write("\n")
