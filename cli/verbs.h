// The verbs of the command line.  Each returns the program's exit status.
#pragma once

#include <limits>
#include <optional>

#include "cli/command.h"
#include "core/ride/draft.h"

namespace CLI {
class App;
}

namespace isotonus::cli {

int make_demo(const fs::path& folder, bool shaped);
int scan(const std::vector<std::string>& files, bool as_json);
int make_new(const fs::path& file, const fs::path& folder, bool force);
int show(const fs::path& file, bool as_json);
int stage(const fs::path& file, bool as_json);
int set(const fs::path& file, const std::string& name, const std::vector<std::string>& assignments);
int bypass_ride(const fs::path& file, const std::string& name, const std::string& parameter, bool bypassed);
/// Without points the ride is shown; with "none" it is removed.
int ride(const fs::path& file, const std::string& name, const std::string& parameter,
         const std::vector<std::string>& points, bool as_json);

struct BusOptions {
    fs::path session;
    std::string what, name;
    std::vector<std::string> more;
    bool as_json = false;
};
int bus(const BusOptions& options);

/// Of verbs that list, add, set and remove: what, the channel or name, and the rest.
struct ListOptions {
    fs::path session;
    std::string what, name;
    std::vector<std::string> more;
    std::optional<double> at_s, from_s, to_s, by_db;
    bool apply = false, as_json = false;
};
int group(const ListOptions& options);
int section(const ListOptions& options);
int tempo(const ListOptions& options);
int clip(const ListOptions& options);
int align(const ListOptions& options);
int sheet(const ListOptions& options);
int track(const ListOptions& options);
int add_files(const fs::path& session, const std::vector<std::string>& files);
int relink(const fs::path& session, const fs::path& folder);
int pack_session(const fs::path& session, const fs::path& folder, bool as_json);

struct SendOptions {
    fs::path session;
    std::string what, channel, bus;
    std::vector<std::string> settings;
    bool as_json = false;
};
int send(const SendOptions& options);

struct ShapeOptions {
    fs::path session;
    std::string row, type;
    size_t position = 0;  ///< from 1; 0: the chain is shown
    std::vector<std::string> assignments;
    bool as_json = false;
};
int shape(const ShapeOptions& options);

struct PluginOptions {
    std::string what = "list", words;
    bool as_json = false;
};
int plugins(const PluginOptions& options);

struct SuggestOptions {
    fs::path session;
    std::string what, row;
    std::vector<std::string> more;
    bool apply = false, as_json = false, without_missing = false;
};
int suggest(const SuggestOptions& options);

struct BalanceOptions {
    fs::path session, like;
    std::string strength;  ///< levels, pans or all
    std::vector<std::string> tracks;
    bool apply = false, also_set = false, sections = false, as_json = false, without_missing = false;
};
int balance(const BalanceOptions& options);

struct PresetOptions {
    fs::path session;
    std::string what, name, purpose;
    std::vector<std::string> rows;
    bool append = false, as_json = false;
};
int preset(const PresetOptions& options);

struct DraftOptions {
    fs::path session;
    std::string track, by = "level";
    std::optional<double> to;
    double depth = 100.0;
    DraftWish wish;
    bool without_missing = false;
};
int draft(const DraftOptions& options);

/// A time that was not given.
inline constexpr double no_time_s = std::numeric_limits<double>::lowest();

struct RenderOptions {
    fs::path session, out, stems;
    std::string bits = "24", main_chain;
    int rate = 0, block = 4096;
    double from_s = 0.0, to_s = no_time_s;
    bool as_json = false, solo = false, without_missing = false, as_print = false;
};
int render(const RenderOptions& options);

int check(const fs::path& file, bool as_json);

struct CompareOptions {
    fs::path session;
    std::string reference;  ///< a name of the session's list, or a file
    bool as_json = false, without_missing = false;
};
int compare(const CompareOptions& options);

struct ReferenceOptions {
    fs::path session;
    std::string what, name, note, passage, channel;
    double from_s = 0.0, to_s = 0.0;
    std::optional<double> song_from_s, song_to_s;
    bool as_json = false;
};
int reference(const ReferenceOptions& options);

struct NoteOptions {
    fs::path session;
    std::string what;
    std::vector<std::string> more;  ///< the number as listed, but for `add`; then settings
    bool as_json = false;
};
int note(const NoteOptions& options);

struct DeliverOptions {
    fs::path session, folder;
    std::string type = "wav", bits = "24", stems = "none", main_chain;
    int rate = 0;
    double from_s = 0.0, to_s = no_time_s;
    bool before_main = false, tail = false, bext = false, force = false, sections = false, undithered = false,
         shares = false, dry_run = false, as_json = false, without_missing = false, as_print = false;
};
int deliver_all(const DeliverOptions& options);

struct PlayOptions {
    fs::path session;
    std::string device = "system";
    double seconds = 0.0;
    bool as_json = false, without_missing = false;
};
int play_session(const PlayOptions& options);
/// What sound can be played through now.
int list_devices(bool as_json);

/// On standard output: what a shell needs to complete verbs and options.
void print_completion(const CLI::App& app);
/// Each verb and what it does, a line each: what man pages are made of.
void print_verbs(const CLI::App& app);

}  // namespace isotonus::cli
