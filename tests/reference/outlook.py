"""The mixed model of the outlook on its small example, solved another way than the core does: generalised least squares on the marginal
covariance V = Z G Z' + R, and best linear unbiased predictions G Z' V^-1 (y - X c) (Henderson 1975; Searle, Casella and McCulloch, Variance
Components, 1992; from memory). The core eliminates points and engines from the mixed-model equations instead. Plain Python, no package.

    python3 tests/reference/outlook.py > tests/reference/outlook.csv
"""

TAU, VISIT, PERSON, READING, MEAN_PRIOR = 0.006, 0.006, 0.007, 0.010, 0.05
# point, run, visit, person, hours, clearance
READINGS = [
    (p, run, visit, person, hours, mm)
    for p, first, second in (("1E", 0.270, 0.285), ("2E", 0.262, 0.280))
    for run, visit, person, hours, mm in (
        (1, 0, "A", 0, 0.30), (1, 1, "B", 1000, first), (2, 1, "B", 1000, 0.30), (2, 2, "A", 2200, second), (3, 2, "A", 2200, 0.30))
]


def solve(a, b):
    """x of a x = b, b with several columns; Gauss with pivoting."""
    n, m = len(a), [row[:] + right[:] for row, right in zip(a, b)]
    for i in range(n):
        pivot = max(range(i, n), key=lambda r: abs(m[r][i]))
        m[i], m[pivot] = m[pivot], m[i]
        m[i] = [v / m[i][i] for v in m[i]]
        for r in range(n):
            if r != i and m[r][i]:
                m[r] = [v - m[r][i] * w for v, w in zip(m[r], m[i])]
    return [row[n:] for row in m]


def times(a, b):
    return [[sum(x * y for x, y in zip(row, col)) for col in zip(*b)] for row in a]


def turned(a):
    return [list(col) for col in zip(*a)]


def fit(engine_tau):
    runs = sorted({(r[0], r[1]) for r in READINGS})
    effects = ["mu", "d", "b1E", "b2E", "a0", "a1", "a2", "pA", "pB"]
    prior = [MEAN_PRIOR, engine_tau, TAU, TAU, VISIT, VISIT, VISIT, PERSON, PERSON]
    x = [[1.0 if (r[0], r[1]) == run else 0.0 for run in runs] for r in READINGS]
    z = []
    for point, _, visit, person, hours, _ in READINGS:
        t = hours / 1000
        z.append([t, t, t if point == "1E" else 0, t if point == "2E" else 0] + [1.0 if visit == v else 0.0 for v in range(3)] + [1.0 if person == p else 0.0 for p in "AB"])
    g = [[p * p if i == j else 0.0 for j in range(len(prior))] for i, p in enumerate(prior)]
    y = [[r[5]] for r in READINGS]
    zg = times(z, g)
    v = times(zg, turned(z))
    for i in range(len(v)):
        v[i][i] += READING * READING
    vx, vy = solve(v, x), solve(v, y)
    xvx = times(turned(x), vx)
    c = solve(xvx, times(turned(x), vy))
    rest = [[a[0] - b[0]] for a, b in zip(y, times(x, c))]
    u = [row[0] for row in times(turned(zg), solve(v, rest))]
    # Var(u_hat - u) = G - G Z' P Z G,  P = V^-1 - V^-1 X (X'V^-1 X)^-1 X'V^-1
    vzg = solve(v, zg)
    correction = times(turned(times(turned(x), vzg)), solve(xvx, times(turned(x), vzg)))
    spread = times(turned(zg), vzg)
    variance = [[g[i][j] - spread[i][j] + correction[i][j] for j in range(len(prior))] for i in range(len(prior))]
    values = dict(zip(effects, u))

    def linear(names):
        k = [effects.index(n) for n in names]
        return sum(u[i] for i in k), sum(variance[i][j] for i in k for j in k) ** 0.5

    yield "mu", *linear(["mu"])
    yield "d", *linear(["d"])
    yield "1E", *linear(["mu", "d", "b1E"])
    yield "2E", *linear(["mu", "d", "b2E"])
    for i in range(3):
        yield f"visit{i}", *linear([f"a{i}"])
    for p in "AB":
        yield f"person{p}", values["p" + p], linear(["p" + p])[1]


if __name__ == "__main__":
    print("engineTau,what,value,standardError")
    for engine_tau in (0.0, 0.004):
        for what, value, error in fit(engine_tau):
            print(f"{engine_tau},{what},{value:.9f},{error:.9f}")
