// Functions that are compiled more than once, for the registers of the machine they run on.
#pragma once

/// For loops that do the same to many frames: compiled for wider registers too, and chosen when the program starts. The
/// arithmetic of each frame stays the same (there is no contraction), so the samples are the same on every machine.
#if defined(__x86_64__) && defined(__GNUC__) && !defined(__clang__) && !defined(__SANITIZE_ADDRESS__) && \
    !defined(__SANITIZE_THREAD__)
#define ISOTONUS_WIDE __attribute__((target_clones("avx512f", "avx2", "default")))
#else
#define ISOTONUS_WIDE
#endif
