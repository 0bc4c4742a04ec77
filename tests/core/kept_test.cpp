// What is kept between runs: it follows all that it was made from, and is never believed when it is damaged.
#include <fcntl.h>
#include <gmock/gmock.h>
#include <sys/stat.h>

#include <fstream>

#include "core/compare/third_octaves.h"
#include "core/files/spool.h"
#include "core/shape/room_response.h"
#include "tests/support/chains.h"
#include "tests/support/plugins.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// Puts other content under a file's name, size and time of writing, in place: nothing is left to see but what the
/// system itself notes.
void replace_unseen(const fs::path& file, const std::string& content) {
    struct stat before {};
    ASSERT_EQ(stat(file.c_str(), &before), 0);
    ASSERT_EQ(static_cast<size_t>(before.st_size), content.size());
    std::fstream(file, std::ios::in | std::ios::out | std::ios::binary) << content;
    const timespec times[2] = {before.st_atim, before.st_mtim};
    ASSERT_EQ(utimensat(AT_FDCWD, file.c_str(), times, 0), 0);
}

std::string bytes_of_file(const fs::path& file) { return read_whole(file, 1 << 28).value(); }

/// The bytes of a file of other samples of the same length.
std::string other_samples(const Folder& folder, int64_t frames, int channels, uint32_t seed) {
    return bytes_of_file(write(folder / "other.wav", make(frames, channels, noise(seed, 0.3)), channels));
}

}  // namespace

TEST(FileStamps, tell_a_file_that_was_replaced_under_its_name_size_and_time) {
    Folder folder;
    std::ofstream(folder / "a") << "one";
    const FileStamp before = settled_stamp_of(folder / "a");
    EXPECT_EQ(stamp_of(folder / "a"), before);
    replace_unseen(folder / "a", "two");
    const FileStamp after = stamp_of(folder / "a");
    EXPECT_EQ(after.bytes, before.bytes);
    EXPECT_EQ(after.written_ns, before.written_ns);
    EXPECT_NE(after, before);
    EXPECT_EQ(stamp_of(folder / "none"), FileStamp());
}

TEST(Artifacts, are_believed_only_under_their_own_key_and_whole) {
    Folder folder;
    const std::string content(100000, 'x');
    ASSERT_TRUE(keep_artifact(Artifact::spectrum, "one", content));
    const fs::path file = artifact_file(Artifact::spectrum, "one");
    const auto found = find_artifact(Artifact::spectrum, "one");
    ASSERT_TRUE(found);
    EXPECT_EQ(found->bytes, std::ssize(content));
    EXPECT_FALSE(find_artifact(Artifact::spectrum, "two"));
    const std::string good = bytes_of_file(file);
    // Under another name, and as another kind.
    fs::copy(file, artifact_file(Artifact::spectrum, "two"));
    EXPECT_FALSE(find_artifact(Artifact::spectrum, "two"));
    fs::create_directories(artifact_file(Artifact::measurement, "one").parent_path());
    fs::copy(file, artifact_file(Artifact::measurement, "one"));
    EXPECT_FALSE(find_artifact(Artifact::measurement, "one"));
    for (const size_t at : {size_t{0}, size_t{50000}, good.size() - 20, good.size() - 1}) {
        std::string damaged = good;
        damaged[at] = static_cast<char>(damaged[at] ^ 1);
        fs::remove(file);
        std::ofstream(file) << damaged;
        EXPECT_FALSE(find_artifact(Artifact::spectrum, "one")) << at;
        EXPECT_FALSE(fs::exists(file)) << "what is damaged goes";
    }
    for (const size_t length : {size_t{0}, size_t{5}, good.size() - 1}) {
        std::ofstream(file) << good.substr(0, length);
        EXPECT_FALSE(find_artifact(Artifact::spectrum, "one")) << length;
        fs::remove(file);
    }
    std::ofstream(file) << good;
    EXPECT_TRUE(find_artifact(Artifact::spectrum, "one"));
}

TEST(Artifacts, of_all_kinds_and_samples_on_the_disk_keep_to_one_budget) {
    Folder folder;
    struct Budget {
        uintmax_t before = cache_budget();
        ~Budget() { set_cache_budget(before); }
    } const restore;
    set_cache_budget(uintmax_t{64} << 20);
    const std::string five_mb(5 << 20, 's');
    for (int n = 0; n < 20; ++n) keep_artifact(Artifact::plugin_sound, "sound" + std::to_string(n), five_mb);
    uintmax_t whole = 0;
    for (const auto& entry : fs::recursive_directory_iterator(cache_folder()))
        if (entry.is_regular_file()) whole += entry.file_size();
    EXPECT_LE(whole, uintmax_t{64} << 20);
    EXPECT_FALSE(find_artifact(Artifact::plugin_sound, "sound0")) << "the oldest use goes first";
    EXPECT_TRUE(find_artifact(Artifact::plugin_sound, "sound19"));
    // Samples of this program count too, and what is larger than all of the budget is not kept.
    EXPECT_FALSE(Spooled::reserve(int64_t{65} << 18));
    EXPECT_FALSE(keep_artifact(Artifact::plugin_sound, "huge", std::string(size_t{65} << 20, 'h')));
    const auto spooled = Spooled::reserve(int64_t{40} << 18).value();
    (void)tidy_cache();
    whole = 0;
    for (const auto& entry : fs::recursive_directory_iterator(cache_folder()))
        if (entry.is_regular_file()) whole += entry.file_size();
    EXPECT_LE(whole, uintmax_t{24} << 20);
}

TEST(Spools, give_their_room_back_to_the_disk_in_whatever_order_it_is_freed) {
    Folder folder;
    constexpr int64_t floats = int64_t{96} << 18, pieces = 16;  // 96 MB each, 1.5 GB in all
    const std::vector<float> some(size_t{1} << 20, 0.5f);
    std::vector<std::shared_ptr<Spooled>> held;
    for (int64_t n = 0; n < pieces; ++n) {
        held.push_back(Spooled::reserve(floats).value());
        for (int64_t at = 0; at + std::ssize(some) <= floats; at += std::ssize(some))
            ASSERT_TRUE(held.back()->write(at, some.data(), std::ssize(some)));
    }
    ASSERT_GT(Spooled::bytes_on_disk(), int64_t{1400} << 20);
    // Every second one, then the rest: the last is freed long before the file's end can shrink.
    for (size_t n = 0; n < held.size(); n += 2) held[n].reset();
    for (size_t n = 1; n + 1 < held.size(); n += 2) held[n].reset();
    EXPECT_LE(Spooled::bytes_on_disk(), max_idle_bytes + (int64_t{96} << 20));
    held.clear();
    EXPECT_LE(Spooled::bytes_on_disk(), max_idle_bytes);
}

// --- everything that a signal is made of
// ------------------------------------------------------------------------------

namespace {

/// A track with a compressor that listens to another one, and a reverb with a room from a file.
struct Made {
    Folder folder;
    Made() {
        write(folder / "row.wav", make(30000, 2, noise(1, 0.3)), 2);
        write(folder / "key.wav", make(30000, 1, noise(2, 0.6)), 1);
        write(folder / "room.wav", make(4000, 1, noise(3, 0.3)), 1);
    }
    Session session() const {
        Session s = with_files({}, {folder / "row.wav", folder / "key.wav"});
        return with_track(s, s.tracks[0]->id, [&](Track& t) {
            t.chain = {processor("compressor", {{"threshold_dbfs", -30.0}, {"ratio", 6.0}}, 1),
                       processor("reverb", {{"mix", 50.0}}, 2)};
            t.chain[0].key = s.tracks[1]->id;
            t.chain[1].impulse = folder / "room.wav";
        });
    }
    /// Everything anew, as another run of the program does it.
    static std::vector<float> rendered_anew(const Session& session) {
        Shaped mix(std::vector<fs::path>{});
        mix.session = session;
        return rendered(mix.shaped_plan(), 4096);
    }
    std::string key(const Session& session) const {
        Shaped mix(std::vector<fs::path>{});
        mix.session = session;
        return mix.row_signals.key(session, *session.tracks[0], mix.file_of()).value_or("");
    }
    /// The same with nothing kept.
    std::vector<float> rendered_cold(const Session& session) const {
        const Environment none("XDG_CACHE_HOME", (folder / "cold").string());
        fs::remove_all(folder / "cold");
        return rendered_anew(session);
    }
};

}  // namespace

TEST(Keys, of_signals_follow_the_bytes_of_every_file_that_they_are_made_of) {
    Made made;
    const Session session = made.session();
    std::string before = made.key(session);
    std::vector<float> sound = Made::rendered_anew(session);
    uint32_t seed = 50;
    for (const auto& [name, frames, channels] :
         {std::tuple{"row.wav", 30000, 2}, {"key.wav", 30000, 1}, {"room.wav", 4000, 1}}) {
        replace_unseen(made.folder / name, other_samples(made.folder, frames, channels, ++seed));
        const std::string after = made.key(session);
        EXPECT_NE(after, before) << name;
        const auto warm = Made::rendered_anew(session);
        EXPECT_NE(warm, sound) << name << ": the old sound is played";
        EXPECT_EQ(warm, made.rendered_cold(session)) << name;
        before = after;
        sound = warm;
    }
    // A room that is gone is not the room that was.
    fs::remove(made.folder / "room.wav");
    EXPECT_NE(made.key(session), before);
}

/// Does not compile when a recipe, or a part of it, has a field more: it belongs into content_key, and into the test
/// below.
[[maybe_unused]] void every_field_of_a_recipe() {
    [[maybe_unused]] const auto& [source, chain, rides, keys, detector_input, sample_rate, row] = SignalRecipe{};
    [[maybe_unused]] const auto& [material, delay_samples, gain, trim_ride] = source;
    [[maybe_unused]] const auto& [id, type, in, match, match_db, key, impulse, values, unknown] = Processor{};
    [[maybe_unused]] const auto& [file, right_file, channels, channel, offset_removed, clips, delay_fraction, band,
                                  crossover_hz] = Source{};
    [[maybe_unused]] const auto& [start, offset, frames, gain_db, fade_in, fade_out, unknown_too] = Clip{};
}

// The inputs are those that the recipe names: a processor's fields and parameters, its rides, trim, polarity, delay,
// the rate.  One that is forgotten in the key would be found here, since every parameter of every type is turned.
TEST(Keys, of_signals_follow_every_setting_that_changes_their_samples) {
    Made made;
    const Session session = made.session();
    const std::string before = made.key(session);
    const auto expect_other = [&](const Session& changed, const std::string& what) {
        EXPECT_NE(made.key(changed), before) << what;
    };
    const TrackId row = session.tracks[0]->id;
    const auto with = [&](const auto& change) { return with_track(session, row, change); };
    expect_other(with([](Track& t) { t.trim_db = 1.0; }), "trim");
    expect_other(with([](Track& t) { t.polarity_inverted = true; }), "polarity");
    expect_other(with([](Track& t) { t.delay_samples = 3.0; }), "delay");
    expect_other(with([](Track& t) { t.delay_samples = 0.25; }), "a part of a sample");
    expect_other(with([](Track& t) { t.source.channels = Channels::swapped; }), "channels");
    expect_other(with([](Track& t) { t.source.offset_removed = true; }), "offset");
    expect_other(with([](Track& t) { t.source.clips = {{0, 10, 20000}}; }), "clips");
    expect_other(with([](Track& t) { t.chain[0].key = 0; }), "sidechain source");
    expect_other(with([](Track& t) { t.chain[1].impulse.clear(); }), "room");
    expect_other(with([](Track& t) { t.chain[0].in = false; }), "bypass");
    expect_other(with([](Track& t) { t.chain[0].in = false, t.chain[0].match_db = 2.0; }), "matched bypass");
    expect_other(with([](Track& t) { std::swap(t.chain[0], t.chain[1]); }), "order");
    Session rate = session;
    rate.sample_rate = 44100;
    expect_other(rate, "rate");
    Session listened = with_track(session, session.tracks[1]->id, [](Track& t) { t.trim_db = -3.0; });
    expect_other(listened, "trim of the sidechain source");
    for (const ProcessorType* type : processor_types()) {
        Processor p = new_processor(*type, {});
        const auto of = [&](const Processor& one, const Rides& rides = {}) {
            return made.key(with([&](Track& t) { t.chain = {one}, t.rides = rides; }));
        };
        const std::string rest = of(p);
        for (const ParameterInfo* info : parameters_of(p)) {
            Processor turned = p;
            const double value = setting_of(p, *info);
            set_value(turned, *info, value == info->high ? info->low : info->high);
            EXPECT_NE(of(turned), rest) << type->id << ' ' << info->id;
            Rides rides;
            rides.set(Parameter(*info, p.id), ride({{0.0, info->low}, {0.3, info->high}}));
            EXPECT_NE(of(p, rides), rest) << type->id << ", a ride of " << info->id;
        }
    }
}

TEST(Keys, of_plugin_sound_follow_its_files_and_the_plugins_own) {
    Plugins plugins;
    plugins.scan();
    const fs::path row = write(plugins.folder / "row.wav", make(30000, 2, noise(1, 0.3)), 2);
    Session session = with_files({}, {row});
    session = with_track(session, 1, [](Track& t) { t.chain = {processor(amplifier, {{"gain", -6.0}})}; });
    const auto sound = Made::rendered_anew(session);
    ASSERT_FALSE(fs::is_empty(artifact_file(Artifact::plugin_sound, "x").parent_path())) << "its sound is kept";
    EXPECT_EQ(Made::rendered_anew(session), sound);
    replace_unseen(row, other_samples(plugins.folder, 30000, 2, 9));
    const auto file = read(row), warm = Made::rendered_anew(session);
    EXPECT_NE(warm, sound);
    EXPECT_FLOAT_EQ(warm[777], file[777] * std::pow(10.0f, -0.3f));
    // Another version of the plug-in is another sound.
    const auto key = [&session] {
        Shaped mix(std::vector<fs::path>{});
        mix.session = session;
        return mix.row_signals.key(session, *session.tracks[0], mix.file_of()).value_or("");
    };
    const std::string before = plugin_version(amplifier), key_before = key();
    EXPECT_EQ(plugin_version(amplifier), before);
    std::ofstream(plugins.folder / "lv2/eg-amp.lv2/amp.ttl", std::ios::app) << "\n# another version\n";
    EXPECT_NE(plugin_version(amplifier), before);
    EXPECT_NE(key(), key_before);
    // What was kept of a plug-in that has gone is known by what it was.
    plugins.scan();
    const std::string last = plugin_version(amplifier);
    fs::remove_all(plugins.folder / "lv2/eg-amp.lv2");
    plugins.scan();
    EXPECT_EQ(plugin_version(amplifier), last);
}

TEST(KeptSounds, that_are_damaged_are_made_again) {
    Plugins plugins;
    plugins.scan();
    const fs::path row = write(plugins.folder / "row.wav", make(30000, 2, noise(1, 0.3)), 2);
    Session session = with_files({}, {row});
    session = with_track(session, 1, [](Track& t) { t.chain = {processor(amplifier, {{"gain", -6.0}})}; });
    const auto sound = Made::rendered_anew(session);
    const auto kept = entries_of(artifact_file(Artifact::plugin_sound, "x").parent_path()).value();
    ASSERT_EQ(kept.size(), 1u);
    const std::string good = bytes_of_file(kept[0]);
    for (const std::string& damaged : {good.substr(0, good.size() / 2), good.substr(0, good.size() - 8),
                                       std::string(good.size(), '\0'), good + "tail"}) {
        std::ofstream(kept[0], std::ios::binary) << damaged;
        EXPECT_EQ(Made::rendered_anew(session), sound);
        EXPECT_EQ(bytes_of_file(kept[0]), good) << "it is kept anew";
    }
}

TEST(KeptSpectra, follow_the_file_and_are_made_again_when_damaged) {
    Folder folder;
    const fs::path file = write(folder / "x.wav", make(60000, 2, noise(1, 0.3)), 2);
    const auto spectrum = [&] { return third_octaves_of(*load_material(file, 48000).value()).value(); };
    const ThirdOctaves first = spectrum();
    const auto kept = entries_of(artifact_file(Artifact::spectrum, "x").parent_path()).value();
    ASSERT_EQ(kept.size(), 1u);
    std::string damaged = bytes_of_file(kept[0]);
    damaged[8] = static_cast<char>(damaged[8] ^ 64);
    std::ofstream(kept[0], std::ios::binary) << damaged;
    EXPECT_EQ(spectrum()[3], first[3]);
    replace_unseen(file, other_samples(folder, 60000, 2, 4));
    EXPECT_NE(spectrum()[3], first[3]);
}

TEST(Caches, that_cannot_be_written_cost_time_and_nothing_else) {
    Plugins plugins;
    std::ofstream(plugins.folder / "in the way") << "a file where the cache should be";
    const fs::path row = write(plugins.folder / "row.wav", make(30000, 2, noise(1, 0.3)), 2);
    Session session = with_files({}, {row});
    plugins.scan();
    session = with_track(session, 1, [](Track& t) {
        t.chain = {processor(amplifier, {{"gain", -6.0}}, 1), processor("width", {{"width", 50.0}}, 2)};
    });
    const auto sound = Made::rendered_anew(session);
    const Environment blocked("XDG_CACHE_HOME", (plugins.folder / "in the way").string());
    EXPECT_TRUE(scan_plugins()) << "a list that cannot be kept is a list all the same";
    EXPECT_EQ(Made::rendered_anew(session), sound);
}
