// A room from a file: an impulse response that is convolved with what comes in.
#pragma once

#include <complex>
#include <filesystem>
#include <memory>
#include <vector>

#include "core/result.h"
#include "core/shape/processor.h"

namespace isotonus {

/// Frames that are transformed at once; what comes out is as late.
inline constexpr int room_block = 1024;
/// What a file has of them after that is left out.
inline constexpr double longest_room_s = 10.0;

/// An impulse response at a rate, ready to be multiplied: partitions of `room_block` frames (uniformly partitioned
/// convolution, overlap-save), scaled so that its energy on each side is 1 on average: about as loud as what goes in.
struct RoomResponse {
    double sample_rate = 48000.0;
    int64_t frames = 0;
    /// From an input side to an output side: left to left, left to right, right to left, right to right; empty where
    /// nothing passes.  By partition, `room_block + 1` bins each.
    std::vector<std::complex<float>> from[2][2];
    size_t partitions() const { return static_cast<size_t>((frames + room_block - 1) / room_block); }
    double seconds() const { return static_cast<double>(frames) / sample_rate; }
};

/// Reads a file of 1 (both sides alike), 2 (each side) or 4 channels (LL, LR, RL, RR), converted to the rate; kept for
/// as long as somebody uses it.  Fails with a sentence, also when it is silent or has other channels.
Result<std::shared_ptr<const RoomResponse>> room_response(const std::filesystem::path& file, double sample_rate);

/// How long it rings, s; only the file's header is read, and only once.  Fails with a sentence.
Result<double> impulse_seconds(const std::filesystem::path& file);

/// The reverb whose room comes from a file: pre-delay, cuts before it and width are the reverb's; decay, size and early
/// reflections are the file's.
std::unique_ptr<Running> start_room(const Processor& reverb, int channels, double sample_rate);

}  // namespace isotonus
