"""Reference values for core/tests/GaussianTest.php: scipy.ndimage.gaussian_filter (sampled, normalised Gaussian, border
values go on outside) of a step edge and of scattered points. Needs numpy and scipy; writes gaussian.json beside itself."""
import json
import pathlib

import numpy as np
from scipy.ndimage import gaussian_filter

columns, rows = 96, 40
step = np.zeros((rows, columns))
step[:, columns // 2:] = 1
points = np.zeros((rows, columns))
for k in range(60):
    points[(k * 17) % rows, (k * 29) % columns] = ((k * 7) % 11) / 11
cases = []
for name, plane in (("step", step), ("points", points)):
    for sigma in (0.6, 1.3, 2, 3.5, 7, 12):
        blurred = gaussian_filter(plane, sigma, mode="nearest", truncate=6)
        cases.append({"plane": name, "sigma": sigma, "row": 20, "values": [round(float(v), 6) for v in blurred[20]]})
path = pathlib.Path(__file__).with_name("gaussian.json")
path.write_text(json.dumps({"columns": columns, "rows": rows, "cases": cases}) + "\n")
