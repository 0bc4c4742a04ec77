// The command line as a user calls it.
#pragma once

#include <fstream>
#include <nlohmann/json.hpp>

#include "tests/support/sounds.h"

namespace isotonus::test {

/// What a call of isotonus-cli came to.
struct Ran {
    int status = -1;
    std::string out, err;
    nlohmann::json document() const { return nlohmann::json::parse(out); }
};

class Cli : public testing::Test {
  protected:
    Folder folder;
    const std::string session = "'" + (folder / "mix.isotonus").string() + "'";

    Ran run(const std::string& arguments) {
        Ran ran;
        const std::string errors = (folder / "stderr").string();
        ran.out = output_of("'" + std::string(ISOTONUS_CLI) + "' " + arguments + " 2>'" + errors + "'", &ran.status);
        std::ifstream in(errors);
        ran.err.assign((std::istreambuf_iterator<char>(in)), {});
        return ran;
    }
    /// A kick and a pad in a folder, and a session of them.
    void make_session() {
        fs::create_directories(folder / "audio");
        const auto hit = [n = noise(1, 0.9)](int64_t i, int c) {
            return n(i, c) * std::exp(-static_cast<double>(i % 24000) / 1200.0);
        };
        write(folder / "audio/Kick.wav", make(240000, 1, hit), 1, 48000, SampleFormat::s24);
        write(folder / "audio/Pad.wav", make(240000, 2, sine(220, 48000, 0.5)), 2, 48000, SampleFormat::s24);
        ASSERT_EQ(run("new " + session + " --from '" + (folder / "audio").string() + "'").status, 0);
    }
};

}  // namespace isotonus::test
