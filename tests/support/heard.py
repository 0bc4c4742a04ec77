# How much of each track stands out of the others: the share of the third octaves (IEC 61260-1: 1000 Hz times powers of
# 10^(1/10)), over stretches of 170 ms in which the track sounds, where it lies no more than 6 dB below the sum of all
# others.  Written apart from the program, for its tests.
import json, sys
import numpy as np
from scipy.io import wavfile

tracks = json.load(open(sys.argv[1]))
powers = []
for t in tracks:
    rate, x = wavfile.read(t['file'])
    x = np.atleast_2d(x.T).astype(float) * t['gain']
    n = 8192
    hops = x.shape[1] // n
    spectra = np.abs(np.fft.rfft(x[:, :hops * n].reshape(len(x), hops, n) * np.hanning(n), axis=2)) ** 2
    power = spectra.mean(axis=0)
    edges = 1000 * 10 ** ((np.arange(-14, 13) - 0.5) / 10)
    bins = np.clip(np.round(edges * n / rate).astype(int), 1, n // 2)
    powers.append(np.stack([power[:, a:max(b, a + 1)].sum(axis=1) for a, b in zip(bins[:-1], bins[1:])], axis=1))
total = sum(powers)
shares = []
for p in powers:
    strongest = p.max(axis=1, keepdims=True)
    counts = (p >= strongest * 10 ** -2.5) & (strongest > p.max() * 1e-3)
    shares.append(float((counts & (p >= (total - p) * 10 ** -0.6)).sum() / max(1, counts.sum())))
print(json.dumps(shares))
