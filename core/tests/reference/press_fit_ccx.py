#!/usr/bin/env python3
"""Press fits solved as axisymmetric finite-element models with CalculiX (Debian package calculix-ccx).

Independent reference for core/src/Joint. Each ring is meshed with CAX8 elements; the inner ring gets its
interference as an expansion in the radial and hoop directions only; the two rings share their radial movement at
the joint and slide freely along the axis. Run it to write press_fit_ccx.json; the tests only read that file.
"""
import json
import pathlib
import re
import subprocess
import tempfile

CASES = [
    {"name": "solid steel shaft 50 in a steel hub 100, interference 0.050 (Shigley's closed form gives 77.6 MPa)",
     "d": 50.0, "di": 0.0, "do": 100.0, "delta": 0.050, "length": 40.0, "Ei": 207e3, "ni": 0.29, "Eo": 207e3, "no": 0.29},
    {"name": "bronze bush in a cast-iron ring",
     "d": 30.0, "di": 24.0, "do": 60.0, "delta": 0.030, "length": 30.0, "Ei": 100e3, "ni": 0.34, "Eo": 100e3, "no": 0.24},
    {"name": "steel sleeve in an aluminium hub",
     "d": 60.0, "di": 40.0, "do": 110.0, "delta": 0.060, "length": 50.0, "Ei": 205e3, "ni": 0.29, "Eo": 71e3, "no": 0.33},
    {"name": "solid steel pin in a thin cast-iron boss",
     "d": 20.0, "di": 0.0, "do": 28.0, "delta": 0.015, "length": 25.0, "Ei": 205e3, "ni": 0.29, "Eo": 100e3, "no": 0.24},
    {"name": "thin acetal bush in a steel plate",
     "d": 25.0, "di": 21.0, "do": 80.0, "delta": 0.080, "length": 20.0, "Ei": 2900.0, "ni": 0.38, "Eo": 205e3, "no": 0.29},
    {"name": "hollow bronze shaft in a bronze ring",
     "d": 80.0, "di": 30.0, "do": 120.0, "delta": 0.070, "length": 60.0, "Ei": 105e3, "ni": 0.34, "Eo": 115e3, "no": 0.33},
    {"name": "hardened ring on a hollow steel spindle",
     "d": 50.0, "di": 35.0, "do": 62.0, "delta": 0.020, "length": 20.0, "Ei": 205e3, "ni": 0.29, "Eo": 207e3, "no": 0.29},
]


def ring(nodes, elements, ra, rb, nr, nz, length, offset):
    """A grid of 8-node quadrilaterals; returns node ids on the inside and outside edge, by height."""
    ids = {}
    for j in range(2 * nz + 1):
        for i in range(2 * nr + 1):
            if i % 2 and j % 2:
                continue
            number = offset + len(ids) + 1
            ids[i, j] = number
            nodes[number] = (ra + (rb - ra) * i / (2 * nr), length * j / (2 * nz))
    for j in range(nz):
        for i in range(nr):
            a, b = 2 * i, 2 * j
            elements.append([ids[a, b], ids[a + 2, b], ids[a + 2, b + 2], ids[a, b + 2],
                             ids[a + 1, b], ids[a + 2, b + 1], ids[a + 1, b + 2], ids[a, b + 1]])
    inside = [ids[0, j] for j in range(2 * nz + 1)]
    outside = [ids[2 * nr, j] for j in range(2 * nz + 1)]
    bottom = [ids[i, 0] for i in range(2 * nr + 1)]
    return inside, outside, bottom


def solve(case):
    nodes, inner, outer = {}, [], []
    nz = 6
    r, ri, ro = case["d"] / 2, case["di"] / 2, case["do"] / 2
    in_a, in_b, in_bot = ring(nodes, inner, ri, r, 16, nz, case["length"], 0)
    out_a, out_b, out_bot = ring(nodes, outer, r, ro, 20, nz, case["length"], len(nodes))
    eps = case["delta"] / case["d"]
    lines = ["*NODE, NSET=NALL"] + [f"{n}, {x:.9f}, {y:.9f}, 0." for n, (x, y) in nodes.items()]
    for name, elements, start in (("INNER", inner, 1), ("OUTER", outer, len(inner) + 1)):
        lines.append(f"*ELEMENT, TYPE=CAX8, ELSET={name}")
        lines += [f"{start + k}, " + ", ".join(map(str, e)) for k, e in enumerate(elements)]
    for name, e, nu in (("MI", case["Ei"], case["ni"]), ("MO", case["Eo"], case["no"])):
        lines += [f"*MATERIAL, NAME={name}", "*ELASTIC", f"{e}, {nu}"]
        lines += ["*EXPANSION, TYPE=ORTHO", f"{eps}, 0., {eps}" if name == "MI" else "0., 0., 0."]
    lines += ["*SOLID SECTION, ELSET=INNER, MATERIAL=MI", "*SOLID SECTION, ELSET=OUTER, MATERIAL=MO"]
    for a, b in zip(in_b, out_a):
        lines += ["*EQUATION", "2", f"{a}, 1, 1., {b}, 1, -1."]
    lines += ["*BOUNDARY"] + [f"{n}, 2, 2" for n in dict.fromkeys(in_bot + out_bot)]
    if ri == 0:
        lines += [f"{n}, 1, 1" for n in in_a]
    lines += ["*INITIAL CONDITIONS, TYPE=TEMPERATURE", "NALL, 0.", "*STEP", "*STATIC", "*TEMPERATURE", "NALL, 1.",
              "*NSET, NSET=WATCH", ",\n".join(map(str, in_a + out_a + out_b)), "*NODE PRINT, NSET=WATCH", "U", "*END STEP"]
    with tempfile.TemporaryDirectory() as folder:
        job = pathlib.Path(folder) / "fit"
        job.with_suffix(".inp").write_text("\n".join(lines) + "\n")
        subprocess.run(["ccx", "-i", "fit"], cwd=folder, check=True, capture_output=True)
        moved = {}
        for line in job.with_suffix(".dat").read_text().splitlines():
            m = re.match(r"\s*(\d+)\s+(\S+)\s+(\S+)\s+(\S+)\s*$", line)
            if m:
                moved[int(m[1])] = float(m[2])
    mean = lambda ids: sum(moved[i] for i in ids) / len(ids)
    growth = 2 * mean(out_b)
    joint = 2 * mean(out_a)
    closing = 0.0 if ri == 0 else case["delta"] / case["d"] * case["di"] - 2 * mean(in_a)
    # Pressure from the growth of the outside: p = growth E (do^2 - d^2) / (2 d^2 do)
    d, do = case["d"], case["do"]
    pressure = growth * case["Eo"] * (do**2 - d**2) / (2 * d**2 * do)
    return {**case, "bore_closing_mm": closing, "outer_growth_mm": growth, "joint_growth_mm": joint, "pressure_mpa": pressure}


if __name__ == "__main__":
    version = subprocess.run(["ccx", "-v"], capture_output=True, text=True).stdout.strip()
    out = {"source": f"CalculiX, {version}; axisymmetric CAX8, made by press_fit_ccx.py", "cases": [solve(c) for c in CASES]}
    path = pathlib.Path(__file__).with_suffix(".json")
    path.write_text(json.dumps(out, indent=2) + "\n")
    print(path.read_text())
