// Random sequences of commands, as a user might type them: odd names, values beyond their limits, files that are
// replaced, moved and gone, plug-ins among the processors.  After each command the session is whole; after each
// sequence its export is the same in any blocks, with one worker and with four, with a cold cache and a warm one, as an
// excerpt, as a delivery, and packed elsewhere.
//
// ISOTONUS_SEQUENCES=COUNT runs so many, ISOTONUS_SEQUENCES_FROM=SEED begins elsewhere, ISOTONUS_SEQUENCES_MINUTES=N
// goes on until the time is up.  What fails tells its seed and its commands.
#include <fcntl.h>
#include <sys/stat.h>

#include <chrono>
#include <cstdlib>
#include <fstream>
#include <nlohmann/json.hpp>
#include <random>

#include "core/shape/chain.h"
#include "tests/support/plugins.h"

using namespace isotonus;
using namespace isotonus::test;
using nlohmann::json;

namespace {

std::string quoted(const std::string& text) {
    std::string out = "'";
    for (const char c : text) out += c == '\'' ? std::string("'\\''") : std::string(1, c);
    return out + "'";
}

class Sequence {
  public:
    explicit Sequence(uint32_t seed) : random_(seed) {
        fs::create_directories(folder_ / "lv2");
        fs::copy("/usr/lib/lv2/eg-amp.lv2", folder_ / "lv2/eg-amp.lv2", fs::copy_options::recursive);
        fs::create_directories(folder_ / "audio");
        for (const char* name : {"Kick 01", "b'oat \"7\"", "Stimme Ä", "-lead", "x\x1b[2Jy", "Pad (L)"}) {
            if (!chance(0.7) && !files_.empty()) continue;
            files_.push_back(folder_ / "audio" / (std::string(name) + ".wav"));
            put_audio(files_.back());
        }
        run("plugins scan");
        run("new " + session() + " --from " + quoted((folder_ / "audio").string()), true);
    }

    void play(int commands) {
        for (int n = 0; n < commands && !testing::Test::HasFailure(); ++n) step();
    }

    /// Everything that an export must be the same by.
    void expect_one_export() {
        if (testing::Test::HasFailure()) return;
        // Files may be away at the end: then it is done without them, everywhere alike.
        const std::string options = " --bits 32f --without-missing";
        const auto out = [&](const std::string& name) { return (folder_ / name).string(); };
        const auto render = [&](const std::string& name, const std::string& more, const std::string& before = "") {
            return run("render " + session() + " " + quoted(out(name)) + options + more, false, before);
        };
        const int status = render("a.wav", "");
        if (status != 0) {
            // A song without a sample has nothing to export; nothing else is a reason.
            EXPECT_TRUE(said_.find("to export") != std::string::npos) << told();
            return;
        }
        const std::vector<float> whole = test::read(folder_ / "a.wav");
        const auto expect_same = [&](const std::string& name, const std::string& how) {
            EXPECT_TRUE(test::read(folder_ / name) == whole) << how << '\n' << told();
        };
        const double song_s = static_cast<double>(whole.size()) / 2.0 / rate();
        for (const int block : {1, 333, 4096}) {
            if (block == 1 && song_s > 8.0) continue;
            EXPECT_EQ(render("b.wav", fmt::format(" --block {}", block)), 0) << told();
            expect_same("b.wav", fmt::format("blocks of {}", block));
        }
        for (const int workers : {1, 4}) {
            EXPECT_EQ(render("b.wav", "", fmt::format("ISOTONUS_WORKERS={} ", workers)), 0) << told();
            expect_same("b.wav", fmt::format("{} workers", workers));
        }
        EXPECT_EQ(render("b.wav", ""), 0);
        expect_same("b.wav", "with a warm cache");
        // Plug-ins have to be looked at with a new cache as well.
        const std::string cold = "XDG_CACHE_HOME=" + quoted(out("cold")) + ' ';
        run("plugins scan", false, cold);
        EXPECT_EQ(render("b.wav", "", cold), 0) << told();
        expect_same("b.wav", "with a cold cache");
        const int64_t frames = std::ssize(whole) / 2, first = frames / 3, last = std::min(frames, first + 4000);
        if (last > first + 1) {
            const auto s = [&](int64_t frame) { return fmt::format("{:.9f}", static_cast<double>(frame) / rate()); };
            EXPECT_EQ(render("b.wav", " --from " + s(first) + " --to " + s(last)), 0) << told();
            const auto part = test::read(folder_ / "b.wav");
            EXPECT_EQ(std::ssize(part), 2 * (last - first)) << told();
            EXPECT_TRUE(std::equal(part.begin(), part.end(), whole.begin() + 2 * first)) << "an excerpt\n" << told();
        }
        EXPECT_EQ(run("deliver " + session() + " " + quoted(out("d")) + options + " --force"), 0) << told();
        expect_same("d/s mix.wav", "a delivery");
        if (files_away()) return;  // a session cannot be packed without its files
        EXPECT_EQ(run("pack " + session() + " " + quoted(out("packed"))), 0) << told();
        EXPECT_EQ(run("render " + quoted(out("packed/s.isotonus")) + " " + quoted(out("b.wav")) + options), 0)
            << told();
        expect_same("b.wav", "packed elsewhere");
    }

  private:
    bool chance(double share) { return std::uniform_real_distribution<double>()(random_) < share; }
    template <class List>
    auto any(const List& list) {
        return list[random_() % list.size()];
    }
    double number(double low, double high) { return std::uniform_real_distribution<double>(low, high)(random_); }
    /// Most often within its limits.
    std::string value(double low, double high) {
        if (chance(0.06)) return any(std::vector<std::string>{"1e300", "nan", "-inf", "", "x", "99999999", "-1e9"});
        return fmt::format("{:.3f}", number(low, high));
    }
    std::string session() const { return quoted((folder_ / "s.isotonus").string()); }
    double rate() const { return rate_; }

    void put_audio(const fs::path& file) {
        const int channels = 1 + static_cast<int>(random_() % 2), rate = chance(0.8) ? 48000 : 44100;
        const auto frames = static_cast<int64_t>(2000 + random_() % 30000);
        const auto wave = noise(static_cast<uint32_t>(random_()), 0.5);
        write(file, make(frames, channels, wave), channels, rate,
              any(std::vector{SampleFormat::s16, SampleFormat::s24, SampleFormat::f32}));
    }

    int run(const std::string& arguments, bool must = false, const std::string& before = "") {
        commands_ += before + arguments + '\n';
        int status = -1;
        const std::string program = before + "LV2_PATH=" + quoted((folder_ / "lv2").string()) + " '" ISOTONUS_CLI "' ";
        said_ = output_of(program + arguments + " 2>&1 </dev/null", &status);
        EXPECT_TRUE(status >= 0 && status <= 3) << "ended with " << status << '\n' << told();
        if (must) {
            EXPECT_EQ(status, 0) << told();
        }
        return status;
    }
    std::string told() const { return commands_ + said_; }

    json shown() {
        int status = -1;
        const std::string text = output_of("'" ISOTONUS_CLI "' show " + session() + " --json 2>/dev/null", &status);
        EXPECT_EQ(status, 0) << "the session cannot be read any more\n" << told();
        const json j = json::parse(text, nullptr, false);
        EXPECT_TRUE(j.is_object());
        return j;
    }
    std::string any_of(const json& now, const char* list) {
        const json rows = now.value(list, json::array());
        if (rows.empty() || chance(0.03)) return quoted("nobody");
        return quoted(rows[random_() % rows.size()]["name"].get<std::string>());
    }

    std::string shape(const std::string& row) {
        const std::string place = chance(0.9) ? std::to_string(1 + random_() % 3) : value(-1, 80);
        if (chance(0.15)) return fmt::format("shape {} {} {} none", session(), row, place);
        if (chance(0.12))
            return fmt::format("shape {} {} {} lv2 uri=http://lv2plug.in/plugins/eg-amp gain={}", session(), row, place,
                               value(-24, 12));
        const ProcessorType& type =
            *any(std::vector<const ProcessorType*>(processor_types().begin(), processor_types().end()));
        std::string line = fmt::format("shape {} {} {} {}", session(), row, place, type.id);
        const Processor p = new_processor(type, {});
        for (const ParameterInfo* info : parameters_of(p)) {
            if (!chance(0.3)) continue;
            // Long tails take long to render, and are nothing new.
            const double high = std::string(info->id) == "decay_s"    ? 1.0
                                : std::string(info->id) == "feedback" ? 40.0
                                                                      : info->high;
            line += fmt::format(" {}={}", info->id, info->words.empty() ? value(info->low, high) : any(info->words));
        }
        return line;
    }

    /// One command; what is refused has changed nothing.
    void step() {
        const json now = shown();
        if (testing::Test::HasFailure()) return;
        rate_ = now.value("sample_rate", 48000);
        const std::string track = any_of(now, "tracks"), bus = any_of(now, "buses"),
                          row = chance(0.6)   ? track
                                : chance(0.7) ? bus
                                              : quoted("main");
        const std::string s = session();
        std::string line;
        switch (random_() % 22) {
            case 0:
                line = fmt::format("set {} {} fader={} pan={}", s, track, value(-40, 12), value(-1, 1));
                break;
            case 1:
                line = fmt::format("set {} {} delay={}", s, track, value(-50, 3000));
                break;
            case 2:
                line = fmt::format("set {} {} trim={} mute={}", s, track, value(-24, 24), any(onoff));
                break;
            case 3:
                line = fmt::format("set {} {} mono_below={} width={}", s, track, chance(0.5) ? "off" : value(40, 500),
                                   value(0, 2));
                break;
            case 4:
                line = fmt::format("bus {} add {} {}", s, quoted(any(names)), track);
                break;
            case 5:
                line = fmt::format("bus {} set {} fader={} output={}", s, bus, value(-20, 6),
                                   chance(0.5) ? "main" : any_of(now, "buses"));
                break;
            case 6:
                line = fmt::format("bus {} remove {}", s, bus);
                break;
            case 7:
                line = fmt::format("send {} {} {} {}", s, chance(0.7) ? track : bus, any_of(now, "buses"),
                                   chance(0.2) ? "none" : value(-30, 6));
                break;
            case 8:
            case 9:
            case 10:
                line = shape(row);
                break;
            case 11:
                line = fmt::format("shape {} {} 1 {} key={}", s, row, chance(0.5) ? "compressor" : "duck",
                                   any_of(now, "tracks"));
                break;
            case 12:
                line = fmt::format("ride {} {} {} 0={} 0.2={} 0.4={}", s, row,
                                   any(std::vector<std::string>{"level", "pan", "mute", "1.mix", "1.in"}), value(0, 1),
                                   value(0, 1), value(0, 1));
                break;
            case 13:
                line = fmt::format("row {} {} {}", s, track, any(std::vector<std::string>{"up", "down", "duplicate"}));
                break;
            case 14:
                line = fmt::format("row {} {} remove", s, track);
                break;
            case 15:
                line = fmt::format("row {} {} rename {}", s, track, quoted(any(names)));
                break;
            case 16:
                line = fmt::format("clip {} {} {} --from {} --to {} --db {}", s,
                                   any(std::vector<std::string>{"silence", "gain"}), track, value(0, 0.2),
                                   value(0.2, 0.5), value(-12, 12));
                break;
            case 17:
                line = fmt::format("group {} add {} {}", s, quoted(any(names)), track);
                break;
            case 18:
                line = fmt::format("stage {}", s);
                break;
            case 19:
                line = fmt::format("add {} {}", s, quoted(any(files_).string()));
                break;
            case 20:
                line = fmt::format("advise {} {} {} --take", s,
                                   any(std::vector<std::string>{"low_cut", "trouble", "headroom"}), track);
                break;
            default:
                return change_files();
        }
        const std::string before = read_whole(folder_ / "s.isotonus", 1 << 28).value_or("");
        const int status = run(line);
        const std::string after = read_whole(folder_ / "s.isotonus", 1 << 28).value_or("");
        // Staging does what it can, track by track, and tells which files it lacks.
        if (status != 0 && !line.starts_with("stage")) {
            EXPECT_TRUE(after == before) << "refused, and yet something has changed\n" << told();
        }
    }

    /// Somebody else's doing.
    void change_files() {
        const fs::path file = any(files_), away = file.string() + ".away";
        commands_ += "(files change)\n";
        std::error_code ignored;
        if (fs::exists(away)) {
            fs::rename(away, file, ignored);
        } else if (chance(0.3)) {
            fs::rename(file, away, ignored);
        } else if (chance(0.5)) {
            put_audio(file);
        } else {
            // Other samples under the same name, size and time.
            struct stat was {};
            if (stat(file.c_str(), &was) != 0) return;
            std::string bytes = read_whole(file, 1 << 26).value_or("");
            for (size_t at = 200; at + 8 < bytes.size(); at += 97) bytes[at] = static_cast<char>(bytes[at] ^ 1);
            std::fstream(file, std::ios::in | std::ios::out | std::ios::binary) << bytes;
            const timespec times[2] = {was.st_atim, was.st_mtim};
            utimensat(AT_FDCWD, file.c_str(), times, 0);
        }
    }
    bool files_away() const {
        return std::any_of(files_.begin(), files_.end(), [](const fs::path& f) { return !fs::exists(f); });
    }

    static inline const std::vector<std::string> onoff{"on", "off", "off", "off"};
    static inline const std::vector<std::string> names{
        "Boats", "Drums", "Boats ", "main", "été", "a/b", "..", "x\ny", "\x1b[31mred", std::string(300, 'n')};
    std::mt19937 random_;
    Folder folder_;
    Environment cache_{"XDG_CACHE_HOME", (folder_ / "cache").string()};
    std::vector<fs::path> files_;
    std::string commands_, said_;
    double rate_ = 48000.0;
};

int setting(const char* name, int otherwise) {
    const char* const text = std::getenv(name);
    return text ? std::atoi(text) : otherwise;
}

}  // namespace

TEST(Sequences, of_commands_end_in_one_export_and_a_whole_session) {
    using namespace std::chrono;
    const auto until = steady_clock::now() + minutes(setting("ISOTONUS_SEQUENCES_MINUTES", 0));
    const int first = setting("ISOTONUS_SEQUENCES_FROM", 1), count = setting("ISOTONUS_SEQUENCES", 20);
    int seed = first;
    for (; (seed < first + count || steady_clock::now() < until) && !HasFailure(); ++seed) {
        SCOPED_TRACE(fmt::format("seed {}", seed));
        Sequence sequence(static_cast<uint32_t>(seed));
        sequence.play(22);
        sequence.expect_one_export();
    }
    std::printf("%d sequences, seeds %d to %d\n", seed - first, first, seed - 1);
}
