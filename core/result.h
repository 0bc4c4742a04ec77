// Errors are values: a sentence for the user and the file it speaks of.  No exception leaves the core.
#pragma once

#include <exception>
#include <new>
#include <string>
#include <tl/expected.hpp>
#include <utility>

#include "core/words.h"

namespace isotonus {

struct Error {
    std::string file;        ///< the path as the user gave it; may be empty
    std::string what;        ///< what is wrong, and in a second sentence what to do about it
    bool cancelled = false;  ///< nothing is wrong: the user stopped it

    std::string text() const { return file.empty() ? what : file + ": " + what; }
};

template <class T>
using Result = tl::expected<T, Error>;

inline tl::unexpected<Error> fail(std::string file, std::string what) {
    return tl::unexpected<Error>(Error{std::move(file), std::move(what)});
}
/// A fault that the caller puts into a sentence of its own, which then says what to do: a fragment, without a file.
inline tl::unexpected<Error> cause(std::string what) { return tl::unexpected<Error>(Error{{}, std::move(what)}); }
/// A sentence for people is translated (words.h) first.
tl::unexpected<Error> fail(std::string file, const char* english) = delete;

/// Runs work that returns a Result; what it throws (the memory is full, a library gave up) becomes an error too.
template <class Work>
auto without_exceptions(const std::string& file, const Work& work) -> decltype(work()) {
    try {
        return work();
    } catch (const std::bad_alloc&) {
        return fail(file, translated("the memory is full. Close other programs and try again."));
    } catch (const std::exception& e) {
        return fail(file, std::string(e.what()));
    }
}

/// What long work returns that was stopped on purpose.
inline tl::unexpected<Error> stopped() { return tl::unexpected<Error>(Error{{}, translated("cancelled"), true}); }

}  // namespace isotonus
