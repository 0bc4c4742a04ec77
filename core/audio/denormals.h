// Numbers too small to be normal ones, which decays into silence end in, are slow to compute with.
#pragma once

#if defined(__SSE2__)
#include <xmmintrin.h>
#endif

namespace isotonus {

/// While one lives, its thread takes them for 0 (below 2.2e-308, in float below 1.2e-38).  It costs a few
/// nanoseconds, and what is computed does not depend on where it was made.
class NoDenormals {
  public:
#if defined(__SSE2__)
    NoDenormals() : before_(_mm_getcsr()) { _mm_setcsr(before_ | to_zero | are_zero); }
    ~NoDenormals() { _mm_setcsr(before_); }
#else
    NoDenormals() {}
#endif
    NoDenormals(const NoDenormals&) = delete;

  private:
#if defined(__SSE2__)
    static constexpr unsigned to_zero = 0x8000, are_zero = 0x0040;  // bits of MXCSR: FTZ, DAZ
    unsigned before_;
#endif
};

}  // namespace isotonus
