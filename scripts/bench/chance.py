"""The same chances, vectorised, for npm run bench to be held against: every belt in every sample, with NumPy.

Reads a JSON of samples and belts, prints the best of five runs in milliseconds and the number of works. Two pulleys in
flat grooves, no speed wanted.
"""
import json, sys, time
import numpy as np

data = json.load(open(sys.argv[1]))
s = {key: np.array(value) for key, value in data["samples"].items()}
demands = data["requirements"]


def grip(friction, wrap):
    return np.tanh(friction * wrap / 2)


def section(belt):
    """What one section makes of every sample; the same for every length of it."""
    motor_wrap, driven_wrap = belt["wrapsRad"]
    share = np.minimum(grip(s["motorFriction"], motor_wrap), grip(s["drivenFriction"], driven_wrap))
    motor = s["motorRadiusMm"] + belt["motorMm"]
    driven = s["drivenRadiusMm"] + belt["drivenMm"]
    drag = s["bushMm"] * 2 * (np.sin(motor_wrap / 2) + np.sin(driven_wrap / 2) * motor / driven)
    spare = s["stallNmm"] + drag * s["heldThroughN"] - demands["motorMin"] * s["needNmm"]
    return 2 * share, drag, spare


def play():
    works = 0
    sections = {}
    for belt in data["belts"]:
        t = belt["thicknessMm"]
        key = (t, belt["areaMm2"])
        if key not in sections:
            sections[key] = section(belt)
        share, drag, spare = sections[key]
        relaxed = belt["innerLengthMm"] + belt["toleranceMm"] * s["lengthWithin"] + np.pi * t
        stretch = (s["pathMm"] + belt["pathGrowth"] * t) / relaxed
        thin = t / np.sqrt(np.maximum(stretch, 1))
        taut = stretch > 1
        stretch = (s["pathMm"] + belt["pathGrowth"] * thin) / relaxed
        pull = s["modulusMpa"] * belt["areaMm2"] / 3 * (stretch - 1 / (stretch * stretch))
        slip = pull * s["relaxedShare"] * share * (s["motorRadiusMm"] + belt["motorGrowth"] * thin)
        good = taut & (slip >= demands["gripMin"] * s["needNmm"]) & (pull * drag <= spare)
        good &= (stretch - 1 <= s["strainMax"]) & (belt["grooveLog"] <= s["grooveLogRatio"])
        works += int(np.count_nonzero(good))
    return works


best = 1e9
for _ in range(5):
    start = time.perf_counter()
    count = play()
    best = min(best, time.perf_counter() - start)
print(json.dumps({"ms": best * 1000, "works": count}))
