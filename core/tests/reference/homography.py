"""Reference values for core/tests/HomographyTest.php: the direct linear transform of four pairs of points, by numpy's
singular value decomposition. Needs numpy; writes homography.json beside itself."""
import json
import pathlib

import numpy as np

cases = []
quads = [
    ([[0, 0], [100, 0], [100, 60], [0, 60]], [[10, 12], [140, 30], [120, 110], [5, 90]]),
    ([[0, 0], [1, 0], [1, 1], [0, 1]], [[-3, 2], [4, 1], [6, 9], [-1, 7]]),
    ([[0, 0], [800, 0], [800, 1200], [0, 1200]], [[512, 300], [700, 340], [690, 820], [505, 900]]),
]
for source, target in quads:
    rows = []
    for (x, y), (u, v) in zip(source, target):
        rows.append([-x, -y, -1, 0, 0, 0, u * x, u * y, u])
        rows.append([0, 0, 0, -x, -y, -1, v * x, v * y, v])
    h = np.linalg.svd(np.array(rows, float))[2][-1].reshape(3, 3)
    points = [[0.3 * source[2][0], 0.6 * source[2][1]], [0.9 * source[2][0], 0.1 * source[2][1]], [0.5 * source[2][0], 0.5 * source[2][1]]]
    mapped = []
    for x, y in points:
        u, v, w = h @ [x, y, 1]
        mapped.append([round(float(u / w), 9), round(float(v / w), 9)])
    cases.append({"source": source, "target": target, "points": points, "mapped": mapped})
pathlib.Path(__file__).with_name("homography.json").write_text(json.dumps(cases) + "\n")
