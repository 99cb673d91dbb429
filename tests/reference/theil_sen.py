"""Figures for HoursTests: slope by SciPy, quantiles of the pairwise slopes by NumPy (linear). Debian: python3-scipy. Run: python3 tests/reference/theil_sen.py"""
import itertools

import numpy as np
from scipy import stats

x = [0, 7, 14, 21, 35, 42, 56, 70]
y = [100, 131, 170, 195, 262, 900, 350, 422]
slopes = [(yb - ya) / (xb - xa) for (xa, ya), (xb, yb) in itertools.combinations(zip(x, y), 2) if xb != xa]
print("slope", repr(stats.theilslopes(y, x)[0]))
print("10 %", repr(np.quantile(slopes, 0.1)), "90 %", repr(np.quantile(slopes, 0.9)))
