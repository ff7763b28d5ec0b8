"""The same odds, vectorised, for npm run bench to be held against: every belt in every world, with NumPy.

Reads a JSON of worlds and belts, prints the best of five runs in milliseconds and the number of works.
"""
import json, sys, time
import numpy as np

data = json.load(open(sys.argv[1]))
w = {key: np.array(value) for key, value in data["worlds"].items()}
limits = data["limits"]
third = lambda belt: belt["areaMm2"] / 3


def play():
    drag = w["dragMm"]
    works = 0
    for belt in data["belts"]:
        t = belt["thicknessMm"]
        growth = belt["growth"]
        relaxed = belt["innerLengthMm"] + belt["toleranceMm"] * w["lengthWithin"] + np.pi * t
        stretch = (w["pathMm"] + growth * t) / relaxed
        thin = t / np.sqrt(np.maximum(stretch, 1))
        stretch = (w["pathMm"] + growth * thin) / relaxed
        taut = stretch > 1
        pull = np.where(taut, w["modulusMpa"] * third(belt) * (stretch - 1 / (stretch * stretch)), 0)
        slip = 2 * pull * w["relaxedShare"] * w["grip"] * (w["motorRadiusMm"] + 0.5 * thin)
        bad = slip < limits["gripLeast"] * w["needTorqueNmm"]
        bad |= w["stallTorqueNmm"] - pull * drag < limits["motorLeast"] * w["needTorqueNmm"]
        bad |= stretch - 1 > w["stretchMost"]
        bad |= belt["grooveLog"] > w["grooveLogRatio"]
        works += int(np.count_nonzero(~bad))
    return works


best = 1e9
for _ in range(5):
    start = time.perf_counter()
    count = play()
    best = min(best, time.perf_counter() - start)
print(json.dumps({"ms": best * 1000, "works": count}))
