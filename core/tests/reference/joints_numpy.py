#!/usr/bin/env python3
"""10,000 press fits with their chances by numpy and scipy (Debian package python3-scipy), the same work as bin/bench does in the
core: pressure, stress, closing, force, torque at both ends, and the chances to grip and to overstress. Prints the seconds it took.
"""
import time

import numpy as np
from scipy.stats import norm

N = 10000
rng = np.random.default_rng(1)
d = rng.uniform(10, 100, N)
di, do, length = d * rng.uniform(0, 0.8, N), d * rng.uniform(1.2, 3, N), d * rng.uniform(0.5, 2, N)
low = rng.uniform(0, 0.02, N)
high = low + rng.uniform(0.005, 0.03, N)
sigma = rng.uniform(0.0005, 0.004, N)
start = time.perf_counter()
for i in range(N):
    ro = (do[i] ** 2 + d[i] ** 2) / (do[i] ** 2 - d[i] ** 2)
    ri = (d[i] ** 2 + di[i] ** 2) / (d[i] ** 2 - di[i] ** 2)
    stiff = 1 / (d[i] * ((ro + 0.24) / 100e3 + (ri - 0.34) / 100e3))
    p = np.array([low[i], high[i]]) * stiff
    hoop, closing = p * ro, 2 * p * d[i] ** 2 * di[i] / (100e3 * (d[i] ** 2 - di[i] ** 2))
    force = np.array([0.1, 0.15]) * p * np.pi * d[i] * length[i]
    torque = force * d[i] / 2000
    g = lambda z: z * norm.cdf(z) + norm.pdf(z)
    below = lambda x: sigma[i] / (high[i] - low[i]) * (g((x - low[i]) / sigma[i]) - g((x - high[i]) / sigma[i]))
    grips, over = 1 - below(0.0), 1 - below(180 / 2.5 / ro / stiff)
print(f"{time.perf_counter() - start:.3f}")
