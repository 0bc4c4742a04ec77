// Errors are values: a sentence for the user and the file it speaks of.  No exception leaves the core.
#pragma once

#include <string>
#include <tl/expected.hpp>
#include <utility>

namespace isotonus {

struct Error {
    std::string file;  ///< the path as the user gave it; may be empty
    std::string what;  ///< what is wrong, as a sentence without a full stop

    std::string text() const { return file.empty() ? what : file + ": " + what; }
};

template <class T>
using Result = tl::expected<T, Error>;

inline tl::unexpected<Error> fail(std::string file, std::string what) {
    return tl::unexpected<Error>(Error{std::move(file), std::move(what)});
}

}  // namespace isotonus
