"""Fits the polynomials of core/src/Kernel/Transfer.php (least largest error) to the transfer function of IEC 61966-2-1,
and that of soft light in core/src/Blend/ChannelBlend.php to the square root.

Needs numpy and scipy. Prints the pieces with their coefficients, lowest power first, and the largest error in 1/255.
"""
import numpy as np
from scipy.optimize import linprog


def encode(linear):
    return 1.055 * linear ** (1 / 2.4) - 0.055


def decode(value):
    return ((value + 0.055) / 1.055) ** 2.4


def decode_slope(value):
    return 2.4 / 1.055 * ((value + 0.055) / 1.055) ** 1.4


def fit(law, low, high, degree, weight):
    x = low + (high - low) * (1 - np.cos(np.linspace(0, np.pi, 800))) / 2
    powers = np.vander(x, degree + 1, increasing=True) * weight(x)[:, None]
    scale = np.abs(powers).max(0)
    powers = powers / scale
    bound = np.ones((len(x), 1))
    wanted = law(x) * weight(x)
    found = linprog(
        [0] * (degree + 1) + [1],
        A_ub=np.vstack([np.hstack([powers, -bound]), np.hstack([-powers, -bound])]),
        b_ub=np.concatenate([wanted, -wanted]),
        bounds=[(None, None)] * (degree + 1) + [(0, None)],
        method="highs",
    )
    return found.x[:-1] / scale, found.x[-1] * 255


edges = [0.0031308, 0.015, 0.075, 0.3, 1.2]
for low, high in zip(edges, edges[1:]):
    coefficients, error = fit(encode, low, high, 5, lambda x: np.ones_like(x))
    print("encode", low, high, [float("%.9g" % c) for c in coefficients], "error %.4f/255" % error)
coefficients, error = fit(decode, 0.04045, 1.1, 6, lambda x: 1 / decode_slope(x))
print("decode", 0.04045, 1.1, [float("%.9g" % c) for c in coefficients], "error %.4f/255" % error)
coefficients, error = fit(np.sqrt, 0.25, 1.0, 6, lambda x: np.ones_like(x))
print("square root", 0.25, 1.0, [float("%.9g" % c) for c in coefficients], "error %.4f/255" % error)
