"""Makes lines.json: what SciPy finds for the fits of RobustLine. Run by hand with python3-scipy; the tests only read the result."""
import json
import os
import numpy as np
from scipy.optimize import minimize

SETS = {
    "few": dict(x=[-0.5, 0.1, 0.4], y=[0.12, 0.08, 0.02], likely=[0.0, 0.0], doubt=[0.12, 0.15], scatter=0.05),
    "season": dict(x=[-0.9, -0.7, -0.4, -0.35, -0.1, 0.0, 0.1, 0.22, 0.3, 0.45, 0.6], y=[0.19, 0.15, 0.13, 0.1, 0.09, 0.06, 0.07, 0.03, 0.02, 0.01, -0.04], likely=[0.0, 0.0], doubt=[0.12, 0.15], scatter=0.05),
    "strays": dict(x=[-0.6, -0.4, -0.2, 0.0, 0.2, 0.4, 0.6, 0.1], y=[0.1, 0.08, 0.09, 0.05, 0.04, 0.03, 0.01, -0.9], likely=[0.0, 0.0], doubt=[0.12, 0.15], scatter=0.05),
    "none": dict(x=[], y=[], likely=[0.03, -0.1], doubt=[0.12, 0.15], scatter=0.05),
}
FREEDOM = 4.0


def robust(s):
    x, y = np.array(s["x"]), np.array(s["y"])

    def cost(p):
        prior = sum(0.5 * ((p[i] - s["likely"][i]) / s["doubt"][i]) ** 2 for i in range(2))
        r = (y - p[0] - p[1] * x) / s["scatter"]
        return prior + np.sum(0.5 * (FREEDOM + 1) * np.log1p(r * r / FREEDOM))

    return list(minimize(cost, s["likely"], method="Nelder-Mead", options=dict(xatol=1e-11, fatol=1e-14, maxiter=20000)).x)


def plain(s):
    """Ordinary least squares: what the robust one comes to when nothing was thought beforehand and nothing strays."""
    a = np.column_stack([np.ones(len(s["x"])), s["x"]])
    return list(np.linalg.lstsq(a, np.array(s["y"]), rcond=None)[0])


out = {name: dict(s, robust=robust(s), plain=plain(s) if s["x"] else None) for name, s in SETS.items()}
with open(os.path.join(os.path.dirname(__file__), "lines.json"), "w") as f:
    json.dump(out, f, indent=1)
    f.write("\n")
