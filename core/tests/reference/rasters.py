"""Reference values for core/tests/RasterTest.php and core/tests/StrokeTest.php, from general-purpose numeric libraries:
areas of polygons cut with pixels (shapely), distances to a blob's half-covered line (scipy's exact Euclidean distance
transform on a sixteen times finer grid),
and stamps of a brush one after the other (numpy). Needs numpy, scipy, shapely; writes rasters.json beside itself."""
import json
import math
import pathlib

import numpy as np
from scipy.ndimage import distance_transform_edt, map_coordinates
from shapely.geometry import Polygon, box

random = np.random.default_rng(7)
out = {}

# polygons: convex, dented, and reaching out of the plane on every side
polygons = [
    [[2.3, 1.7], [9.6, 3.1], [7.2, 10.4], [3.9, 8.8]],
    [[1.0, 1.0], [11.0, 1.0], [11.0, 9.0], [6.2, 3.4], [1.0, 9.0]],
    [[-6.0, 4.0], [6.0, -5.0], [19.0, 5.5], [6.5, 17.0]],
    [[3.0, 2.0], [3.0, 9.0], [3.4, 9.0], [3.4, 2.0]],
]
columns, rows = 13, 12
out["polygons"] = [
    {
        "points": points, "columns": columns, "rows": rows,
        "coverage": [round(Polygon(points).intersection(box(x, y, x + 1, y + 1)).area, 7) for y in range(rows) for x in range(columns)],
    }
    for points in polygons
]

# distance: a soft blob, its half-covered line found by linear interpolation
size, fine = 40, 16
yy, xx = np.mgrid[0:size, 0:size] + 0.5
shape = np.clip(0.5 + 0.35 * (11 - np.hypot((xx - 18) * 0.8, yy - 21)) , 0, 1)
shape = np.maximum(shape, np.clip(0.5 + 0.6 * (4.5 - np.hypot(xx - 31, yy - 9)), 0, 1))
steps = np.arange(0, (size - 1) * fine + 1) / fine
gy, gx = np.meshgrid(steps, steps, indexing="ij")
dense = map_coordinates(shape, [gy, gx], order=1)
inside = distance_transform_edt(dense >= 0.5) / fine
outside = distance_transform_edt(dense < 0.5) / fine
signed = np.where(dense >= 0.5, inside - 0.5 / fine, -(outside - 0.5 / fine))[::fine, ::fine]
out["distance"] = {"size": size, "shape": [round(float(v), 6) for v in shape.ravel()], "signed": [round(float(v), 4) for v in signed.ravel()], "tolerance": 1.0 / fine}

# strokes: stamps max(0.5, r/4) apart along the way, the first at the start; pressure runs linearly along it
def stroke(points, size, hardness, opacity, flow, pressure):
    r = size / 2
    apart = max(0.5, r / 4)
    way = np.cumsum([0] + [math.hypot(q[0] - p[0], q[1] - p[1]) for p, q in zip(points, points[1:])])
    plane = np.zeros((48, 64))
    yy, xx = np.mgrid[0:48, 0:64] + 0.5
    for k in range(int(way[-1] / apart + 1e-9) + 1):
        s = k * apart
        x, y, p = (np.interp(s, way, [q[i] for q in points]) for i in range(3))
        radius = r * (p if pressure == "size" else 1)
        ramp = max(1.0, radius * (1 - hardness))
        inner = radius * (1 + hardness) / 2 - ramp / 2
        t = np.clip(1 - (np.hypot(xx - x, yy - y) - inner) / ramp, 0, 1)
        most = opacity * (p if pressure == "opacity" else 1)
        plane += np.maximum(0, most - plane) * flow * (p if pressure == "flow" else 1) * t * t * (3 - 2 * t)
    return plane

strokes = []
for size, hardness, opacity, flow, pressure in ((14, 0.0, 1.0, 0.3, "nothing"), (9, 0.6, 0.5, 1.0, "opacity"), (16, 1.0, 1.0, 1.0, "size"), (20, 0.2, 0.8, 0.1, "flow")):
    points = [[8.5, 9.0, 0.3], [30.0, 14.5, 1.0], [44.0, 33.0, 0.6], [20.0, 38.0, 0.9]]
    plane = stroke(points, size, hardness, opacity, flow, pressure)
    strokes.append({
        "stroke": {"size": size, "hardness": hardness * 100, "opacity": opacity * 100, "flow": flow * 100, "pressure": pressure, "points": [[*p, 0] for p in points]},
        "rows": {str(row): [round(float(v), 7) for v in plane[row]] for row in (9, 14, 22, 33, 38)},
    })
out["strokes"] = strokes

pathlib.Path(__file__).with_name("rasters.json").write_text(json.dumps(out) + "\n")
