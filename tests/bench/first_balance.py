#!/usr/bin/env python3
"""A first balance from a rough mix, and drafted: how near it comes, how long it takes, how much memory.

  first_balance.py ISOTONUS-CLI FOLDER TRACKS SECONDS

Tracks are the demo's, repeated and, beyond its 18, at other pitches and places.  Their sum with random faders (-20 to
0 dB), pans and polarities is made here with numpy, and so is its processing; what is found is compared with it.
"""
import glob, json, os, subprocess, sys, time
import numpy as np
import scipy.signal as sg
from scipy.io import wavfile
from scipy.ndimage import minimum_filter1d, uniform_filter1d
import warnings

warnings.filterwarnings('ignore')
cli, folder, count, seconds = sys.argv[1], sys.argv[2], int(sys.argv[3]), int(sys.argv[4])
rate = 48000
frames = seconds * rate
rng = np.random.default_rng(count)
os.makedirs(folder + '/tracks', exist_ok=True)
subprocess.run([cli, 'demo', folder + '/demo'], check=True, stdout=subprocess.DEVNULL)


def load(file):
    own_rate, x = wavfile.read(file)
    x = x / {'int16': 2.0 ** 15, 'int32': 2.0 ** 31}.get(str(x.dtype), 1.0)
    if own_rate != rate:
        x = sg.resample_poly(x, rate // 100, own_rate // 100, axis=0)
    return (x if x.ndim == 2 else x[:, None]).astype(np.float32)


demo = sorted(glob.glob(folder + '/demo/*.wav'))
faders, pans = rng.uniform(-20, 0, count), rng.uniform(-1, 1, count).round(3)
inverted = rng.choice([True, False], count)
mix, power = np.zeros((frames, 2)), np.zeros(count)
for n in range(count):
    x = load(demo[n % len(demo)])
    x = np.concatenate([x] * (frames // len(x) + 2))
    if n >= len(demo):
        x = sg.resample_poly(x, [9, 11, 7, 10][n // len(demo) % 4], 8, axis=0)
        x = np.roll(x, rate * 7 * (n // len(demo)) + 977 * n, axis=0).astype(np.float32)
    x = x[:frames]
    loud = x[np.abs(x).max(1) > 0.03 * np.abs(x).max()]
    x *= 0.1 / np.sqrt((loud.astype(float) ** 2).mean())
    wavfile.write(f'{folder}/tracks/{n + 1:02d}.wav', rate, x)
    # Mono tracks by constant power, stereo ones balanced.
    p, gain = pans[n], 10 ** (faders[n] / 20) * (-1 if inverted[n] else 1)
    if x.shape[1] == 1:
        sides = np.cos((p + 1) * np.pi / 4), np.sin((p + 1) * np.pi / 4)
    else:
        sides = np.cos(max(p, 0) * np.pi / 2), np.cos(max(-p, 0) * np.pi / 2)
    for side in (0, 1):
        part = gain * sides[side] * x[:, -side]
        mix[:, side] += part
        power[n] += (part ** 2).mean()
level = 10 * np.log10(power / (mix ** 2).mean(0).sum())
full = 0.9 / np.abs(mix).max()

wavfile.write(folder + '/plain.wav', rate, mix.astype(np.float32))
cut = sg.resample_poly(full * mix[int(0.7 * rate):], 147, 160, axis=0)
wavfile.write(folder + '/cut.wav', 44100, np.round(32767 * cut).astype(np.int16))

# A shelf of +3 dB from 6 kHz on (Bristow-Johnson's cookbook), a compressor 2:1 that takes 3 dB, a limiter that takes 4.
a, w = 10 ** (3 / 40), 2 * np.pi * 6000 / rate
alpha, c = np.sin(w) / 2 * np.sqrt(2), np.cos(w)
r = 2 * np.sqrt(a) * alpha
done = sg.lfilter([a * ((a + 1) + (a - 1) * c + r), -2 * a * ((a - 1) + (a + 1) * c), a * ((a + 1) + (a - 1) * c - r)],
                  [(a + 1) - (a - 1) * c + r, 2 * ((a - 1) - (a + 1) * c), (a + 1) - (a - 1) * c - r], mix, axis=0)


def followed(db, attack, release):
    out, state = np.empty_like(db), 0.0
    for i, x in enumerate(db):
        state = x + (state - x) * (attack if x < state else release)
        out[i] = state
    return np.repeat(out, 32)[:frames]


q = 1 - np.exp(-1 / 480)
db = 10 * np.log10(np.maximum(sg.lfilter([q], [1, q - 1], (done ** 2).mean(1)), 1e-12))
taken = followed(-0.5 * np.maximum(db - np.percentile(db, 50) + 6, 0)[::32], np.exp(-32 / 480), np.exp(-32 / 4800))
done *= 10 ** (taken / 20)[:, None]
ceiling = np.abs(done).max() * 10 ** (-4 / 20)
need = minimum_filter1d(np.minimum(1, ceiling / np.maximum(np.abs(done).max(1), 1e-9)), 480)
done *= np.minimum(1, uniform_filter1d(10 ** (followed(20 * np.log10(need[::32]), 0, np.exp(-32 / 2400)) / 20), 240))[:, None]
wavfile.write(folder + '/processed.wav', rate, (0.89 / ceiling * done).astype(np.float32))
subprocess.run(f'ffmpeg -v error -y -i {folder}/processed.wav -b:a 128k {folder}/processed.mp3', shell=True, check=True)

session = folder + '/session.isotonus'
subprocess.run([cli, 'new', session, '--from', folder + '/tracks', '--force'], check=True, stdout=subprocess.DEVNULL)


measured = 'import resource, subprocess, sys; subprocess.run(sys.argv[1:], check=True); ' \
           'print(resource.getrusage(resource.RUSAGE_CHILDREN).ru_maxrss / 1024, file=sys.stderr)'
most_mb = 0.0


def run(*arguments):
    """What it prints, and the quicker of two runs: files that were just written are still on their way to the disk."""
    global most_mb
    times = []
    for _ in range(2):
        start = time.time()
        done = subprocess.run([sys.executable, '-c', measured, cli, *arguments, '--json'], check=True, capture_output=True)
        times.append(time.time() - start)
        most_mb = max(most_mb, float(done.stderr.split()[-1]))
    return json.loads(done.stdout), min(times)


run('show', session)  # measured beforehand
reading = run('show', session)[1]
print(f'{count} tracks of {seconds} s; opening the session alone takes {reading:.2f} s')
for name in ('plain.wav', 'cut.wav', 'processed.mp3'):
    found, took = run('balance', session, '--like', f'{folder}/{name}')
    apart = np.array([t['fader_db'] for t in found['tracks']]) - faders
    common = np.median(apart)
    heard = level > -30
    wrong = np.abs(apart - common)[heard]
    pan = np.abs(np.array([t['pan'] for t in found['tracks']]) - pans)[heard]
    turned = sum(t['invert_polarity'] != bool(i) for t, i in zip(found['tracks'], inverted))
    print(f'{name}: {took:.2f} s, left over {found["left_over_db"]:.1f} dB; beside {common:+.2f} dB that all have in '
          f'common, faders within {wrong.max():.3f} dB, half of them within {np.median(wrong):.3f} dB, pans within '
          f'{100 * pan.max():.1f} %, {turned} polarities wrong; {" ".join(found["processing"])}')
for strength in ('levels', 'pans', 'all'):
    found, took = run('balance', session, '--draft', strength)
    print(f'draft of {strength}: {took:.2f} s, peak {found["peak_dbfs"]:.1f} dBFS')
print(f'peak memory: {most_mb:.0f} MB')
