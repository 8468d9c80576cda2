"""The fortnight of bench/water.bench.ts by a general stiff solver: Richards' equation in the head, the same cells."""

import json
import sys
import time

import numpy as np
from scipy.integrate import solve_ivp

case = json.load(open(sys.argv[1]))
tolerance = float(sys.argv[2])
n, height, area = case["cells"], case["height"], case["area"]
dz = height / n
water, conductivity = np.array(case["water"]), np.array(case["conductivity"])
ln = np.linspace(np.log(case["least"]), np.log(case["most"]), len(water) - 1)
step = ln[1] - ln[0]
EASY, DRIEST, AIR = 50.0, 1500.0, 0.1
rise, setting = case["sun"]


def read(head):
    """Water, its slope and conductivity at a head, as the tables have them."""
    tension = np.maximum(-head, 1e-12)
    u = np.clip((np.log(tension) - ln[0]) / step, -1, len(ln) - 1.001)
    k = np.maximum(u, 0).astype(int)
    part = np.where(u < 0, tension / case["least"], u - k)
    i = np.where(u < 0, 0, k + 1)
    slope = np.where(u < 0, 1 / case["least"], 1 / (step * tension))
    w = water[i] + part * (water[i + 1] - water[i])
    c = -(water[i + 1] - water[i]) * slope
    kk = conductivity[i] + part * (conductivity[i + 1] - conductivity[i])
    full = head >= 0
    return np.where(full, water[0], w), np.where(full, 0, c), np.where(full, conductivity[0], kk)


def rates(now, state, given):
    head = state[:n]
    w, c, k = read(head)
    hour = (now + 6) % 24
    sun = np.pi / (2 * (setting - rise)) * np.sin(np.pi * (hour - rise) / (setting - rise)) if rise < hour < setting else 0.0
    down = np.empty(n + 1)
    down[1:n] = 0.5 * (k[1:] + k[:-1]) * ((head[1:] - head[:-1]) / dz + 1)
    down[0] = k[0] * max(0.0, head[0] + dz / 2) / (dz / 2)
    down[n] = (given - 1000 * case["day"]["evaporation"] * sun) / area
    dry = np.clip(1 - np.log(np.maximum(-head, EASY) / EASY) / np.log(DRIEST / EASY), 0, 1)
    drunk = 1000 * case["day"]["uptake"] * sun / area / n * dry * np.clip((case["porosity"] - w) / AIR, 0, 1)
    out = np.empty(n + 1)
    out[:n] = (down[1:] - down[:-1] - drunk) / dz / (c + 1e-6)
    out[n] = down[0] * area / 1000
    return out


breaks = {case["hours"]}
for p in case["pulses"]:
    breaks |= {p["start"], p["start"] + p["hours"]}
for day in range(int(case["hours"] // 24) + 1):
    breaks |= {24 * day + rise - 6, 24 * day + setting - 6}
breaks = sorted(t for t in breaks if 0 < t <= case["hours"])

state = np.append(-(np.arange(n) + 0.5) * dz, 0.0)
begin = time.perf_counter()
now = 0.0
for stop in breaks:
    middle = (now + stop) / 2
    given = sum(1000 * p["litres"] / p["hours"] for p in case["pulses"] if p["start"] < middle < p["start"] + p["hours"])
    run = solve_ivp(rates, (now, stop), state, "LSODA", args=(given,), rtol=tolerance, atol=10 * tolerance, lband=1, uband=1, t_eval=[stop])
    if not run.success:
        sys.exit(run.message)
    state, now = run.y[:, -1], stop
print(json.dumps({"method": "LSODA (SciPy)", "seconds": time.perf_counter() - begin, "drained": float(state[n])}))
