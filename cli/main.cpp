// isotonus-cli: the whole job without a display.

#include <CLI/CLI.hpp>
#include <algorithm>

#include "cli/spelling.h"
#include "cli/verbs.h"

using namespace isotonus::cli;

namespace {

/// CLI11's own one answers with a range of three hundred digits.
const CLI::Validator above_zero(
    [](const std::string& text) {
        double value = 0.0;
        return CLI::detail::lexical_cast(text, value) && value > 0.0
                   ? ""
                   : "'" + text + "' is not a number above 0. Write 1 or more.";
    },
    "above 0");

constexpr const char* exit_codes =
    "Exit codes: 0 done, 1 a check failed, 2 wrong usage, 3 a file could not be read or written.";
constexpr const char* session_help = "The session file.";
constexpr const char* json_help = "Prints one JSON document on standard output.";
constexpr const char* missing_help = "Goes on without missing files and processors.";
constexpr const char* print_help = "Keeps the mix as a print of the session. An existing file gets a number beside it.";

/// Every verb with its arguments; the parser keeps what it finds here until the verb runs.
class CommandLine {
  public:
    CommandLine() {
        app.name("isotonus-cli");
        app.require_subcommand(1);
        app.footer(exit_codes);
        app.set_version_flag("--version", "isotonus-cli " ISOTONUS_VERSION);
        app.failure_message([](const CLI::App* a, const CLI::Error& e) {
            std::string verb;
            for (const CLI::App* at = a; !at->get_subcommands().empty();) {
                at = at->get_subcommands().front();
                verb = at->get_name() + " ";
            }
            return "isotonus-cli: " + isotonus::printable(e.what()) + "\nSee isotonus-cli " + verb + "--help\n";
        });
        make_and_measure();
        change_settings();
        shape_channels();
        export_and_compare();
        hand_off();
        list_and_change();
        change_tracks();
        complete();
    }

    int run(int argc, char** argv) {
        std::vector<std::string> arguments = with_new_spelling({argv + 1, argv + argc});
        // The parser takes a word that begins with a sign and a letter for an option.
        std::replace(arguments.begin(), arguments.end(), std::string("-inf"), std::string("off"));
        std::reverse(arguments.begin(), arguments.end());  // the parser's order
        try {
            app.parse(std::move(arguments));
        } catch (const CLI::ParseError& e) {
            return app.exit(e) == 0 ? done : wrong_usage;
        }
        return status;
    }

  private:
    CLI::App* verb(const char* word, const char* description) {
        auto* v = app.add_subcommand(word, description);
        v->footer(exit_codes);
        return v;
    }
    CLI::App* session_verb(const char* word, const char* description) {
        auto* v = verb(word, description);
        v->add_option("SESSION", session, session_help)->required();
        return v;
    }
    void json_flag(CLI::App* v) { v->add_flag("--json", as_json, json_help); }
    void missing_flag(CLI::App* v) { v->add_flag("--without-missing", without_missing, missing_help); }
    static CLI::Option* action(CLI::App* v, std::string& what, const std::vector<std::string>& words,
                               const char* description = "What to do.") {
        return v->add_option("ACTION", what, description)->required()->check(CLI::IsMember(words));
    }
    /// A verb for one of the session's lists.
    CLI::App* list_verb(const char* word, const char* description, ListOptions& o,
                        const std::vector<std::string>& actions, const char* name_help,
                        int (*run)(const ListOptions&)) {
        auto* v = session_verb(word, description);
        action(v, o.what, actions);
        v->add_option("NAME", o.name, name_help);
        json_flag(v);
        v->callback([this, &o, run] {
            o.session = session, o.as_json = as_json;
            status = run(o);
        });
        return v;
    }

    /// Sessions and their files.
    void make_and_measure() {
        auto* demo_verb = verb("demo", "Writes the demo: its audio and FOLDER/demo.isotonus.");
        demo_verb->add_option("FOLDER", folder, "The folder for the demo.")->required();
        demo_verb->add_flag("--shaped", demo_shaped, "Adds chains where the demo's faults need them.");
        demo_verb->callback([=, this] { status = make_demo(folder, demo_shaped); });

        auto* scan_verb = verb("scan", "Measures audio files: peaks, averages, loudness, faults.");
        scan_verb->add_option("FILE", list, "The audio files.")->required();
        json_flag(scan_verb);
        scan_verb->callback([=, this] { status = scan(list, as_json); });

        auto* new_verb = session_verb("new", "Makes a session from a folder of audio files.");
        new_verb->add_option("--from", folder, "The folder of audio files.")->required();
        new_verb->add_flag("--force", force, "Replaces an existing session.");
        new_verb->callback([=, this] { status = make_new(session, folder, force); });

        auto* show_verb = session_verb("show", "Shows the tracks and their settings.");
        json_flag(show_verb);
        show_verb->callback([=, this] { status = show(session, as_json); });

        auto* stage_verb = session_verb("stage", "Sets every trim so that the track meets its target level.");
        json_flag(stage_verb);
        stage_verb->callback([=, this] { status = stage(session, as_json); });
    }

    /// Settings, automation and routing.
    void change_settings() {
        auto* set_verb = session_verb("set", "Changes settings of a track or of the main output.");
        set_verb->add_option("CHANNEL", name, "The name of a track, or main.")->required();
        set_verb
            ->add_option("SETTINGS", list,
                         "key=value. Of a track: trim, fader, pan, width, mono_below, mute, solo, solo_safe, polarity, "
                         "delay, kind, target, staged_without. Of main: fader, pan_law.")
            ->required();
        set_verb->callback([=, this] { status = set(session, name, list); });

        auto* ride_verb = session_verb("ride", "Shows, writes, bypasses or removes a ride (automation).");
        ride_verb->add_option("CHANNEL", name, "The name of a track, a bus or a group, or main.")->required();
        ride_verb
            ->add_option("PARAMETER", parameter,
                         "level, trim, pan, width, mute, POSITION.NAME of a processor, or send.BUS.level.")
            ->required();
        ride_verb->add_option("POINTS", list,
                              "TIME=VALUE for each point of the new ride; none removes the ride. Without points the "
                              "ride is shown.");
        auto* bypass = ride_verb->add_flag("--bypass", ride_bypass, "Keeps the points, but plays without the ride.");
        ride_verb->add_flag("--on", ride_on, "Plays the ride again.")->excludes(bypass);
        json_flag(ride_verb);
        ride_verb->callback([=, this] {
            status = ride_bypass || ride_on ? bypass_ride(session, name, parameter, ride_bypass)
                                            : ride(session, name, parameter, list, as_json);
        });

        auto* bus_verb = session_verb("bus", "Lists, adds, changes and removes buses and returns.");
        action(bus_verb, bused.what, {"list", "add", "set", "remove"});
        auto* bus_name = bus_verb->add_option("NAME", bused.name, "The name of the bus.");
        bus_verb->add_option("MORE", bused.more,
                             "For add: the channels that get this output. For set: key=value with trim, fader, pan, "
                             "width, mute, solo, output.");
        json_flag(bus_verb);
        bus_verb->callback([=, this] {
            if (bused.what != "list" && bus_name->count() == 0) throw CLI::RequiredError("NAME");
            bused.session = session, bused.as_json = as_json;
            status = bus(bused);
        });

        auto* send_verb = session_verb("send", "Lists, adds, changes and removes sends.");
        action(send_verb, sent.what, {"list", "add", "set", "remove"});
        auto* from = send_verb->add_option("CHANNEL", sent.channel, "The name of a track or bus that sends.");
        auto* to = send_verb->add_option("BUS", sent.bus, "The name of the bus or return.");
        send_verb->add_option(
            "SETTINGS", sent.settings,
            "key=value: level=DB, tap=pre|post of the fader, bypass=on|off, pan=PAN (none: the pan of "
            "the channel).");
        json_flag(send_verb);
        send_verb->callback([=, this] {
            if (sent.what != "list" && from->count() == 0) throw CLI::RequiredError("CHANNEL");
            if (sent.what != "list" && to->count() == 0) throw CLI::RequiredError("BUS");
            sent.session = session, sent.as_json = as_json;
            status = send(sent);
        });
    }

    /// Chains, and suggestions for them.
    void shape_channels() {
        auto* shape_verb = session_verb("shape", "Shows the chain of a channel, or sets one of its processors.");
        shape_verb->add_option("CHANNEL", shaped.row, "The name of a track or bus, or main.")->required();
        auto* position = shape_verb->add_option("POSITION", shaped.position, "The position in the chain, from 1.")
                             ->check(above_zero);
        shape_verb->add_option("TYPE", shaped.type, "The type of processor; none removes it.")->needs(position);
        shape_verb->add_option("SETTINGS", shaped.assignments,
                               "key=value with the parameters of the processor, sidechain=CHANNEL, match=on|off.");
        json_flag(shape_verb);
        shape_verb->callback([=, this] {
            if (shaped.position > 0 && shaped.type.empty()) throw CLI::RequiredError("TYPE");
            shaped.session = session, shaped.as_json = as_json;
            status = shape(shaped);
        });

        auto* plugins_verb =
            verb("plugins", "Lists the LV2 plug-ins of this machine; `shape` uses them as the type lv2 with uri=URI.");
        plugins_verb->add_option("ACTION", outside.what, "list shows the known plug-ins, scan searches again.")
            ->check(CLI::IsMember({"list", "scan"}));
        plugins_verb->add_option("WORDS", outside.words, "Words of the name, class, maker or URI.");
        json_flag(plugins_verb);
        plugins_verb->callback([=, this] {
            outside.as_json = as_json;
            status = plugins(outside);
        });

        auto* suggest_verb =
            session_verb("suggest", "Suggests settings for a channel or the mix, from the whole song.");
        action(suggest_verb, suggested.what,
               {"low_cut", "reduction", "resonance", "room", "note", "duck", "headroom", "levels"},
               "The kind of suggestion.");
        suggest_verb->add_option("CHANNEL", suggested.row,
                                 "The name of a track. For headroom: the plan to apply, all_down, largest or "
                                 "not_anchors.");
        suggest_verb->add_option(
            "MORE", suggested.more,
            "For reduction: POSITION and typical=DB or max=DB. For duck: the track to duck under.");
        suggest_verb->add_flag("--apply", suggested.apply, "Applies the suggestion as ordinary settings.");
        missing_flag(suggest_verb);
        json_flag(suggest_verb);
        suggest_verb->callback([=, this] {
            suggested.session = session, suggested.as_json = as_json, suggested.without_missing = without_missing;
            status = suggest(suggested);
        });

        auto* balance_verb = session_verb("balance", "Proposes a first balance, from a rough mix or from audibility.");
        auto* like = balance_verb->add_option("--like", balanced.like,
                                              "Finds the faders and pans of this rough mix of the same song.");
        balance_verb
            ->add_option("--draft", balanced.strength,
                         "Drafts from roles and audibility: levels, pans (levels too) or all (widths too).")
            ->check(CLI::IsMember({"levels", "pans", "all"}))
            ->excludes(like);
        balance_verb->add_option("--track", balanced.tracks,
                                 "Applies the proposal to this track only; can be repeated.");
        balance_verb
            ->add_flag("--sections", balanced.sections, "With --like: applies a ride where a section differs in level.")
            ->needs(like);
        balance_verb->add_flag("--also-set", balanced.also_set,
                               "With --draft: also changes tracks whose fader or pan was set by hand.");
        balance_verb->add_flag("--apply", balanced.apply, "Stores the proposal in the session.");
        missing_flag(balance_verb);
        json_flag(balance_verb);
        balance_verb->callback([=, this] {
            if (balanced.like.empty() && balanced.strength.empty()) throw CLI::RequiredError("--like or --draft");
            balanced.session = session, balanced.as_json = as_json, balanced.without_missing = without_missing;
            status = balance(balanced);
        });

        auto* preset_verb = session_verb("preset", "Lists, adds, uses and removes presets of chains.");
        action(preset_verb, kept.what, {"list", "add", "set", "remove"},
               "add saves a chain as a preset, set loads a preset.");
        auto* preset_name = preset_verb->add_option("NAME", kept.name, "The name of the preset.");
        preset_verb->add_option("CHANNEL", kept.rows,
                                "For add: the channel with the chain. For set: its new channels.");
        preset_verb->add_flag("--append", kept.append, "For set: appends to the chains instead of replacing them.");
        preset_verb->add_option("--purpose", kept.purpose, "For add: what the preset is for, in a sentence.");
        json_flag(preset_verb);
        preset_verb->callback([=, this] {
            if (kept.what != "list" && preset_name->count() == 0) throw CLI::RequiredError("NAME");
            kept.session = session, kept.as_json = as_json;
            status = preset(kept);
        });

        auto* draft_verb =
            session_verb("draft", "Drafts a level ride that brings the phrases of a track to one level.");
        draft_verb->add_option("CHANNEL", drafted.track, "The name of the track.")->required();
        draft_verb
            ->add_option("--by", drafted.by,
                         "What is evened out: level, rest (level against the rest) or heard (audible share).")
            ->check(CLI::IsMember({"level", "rest", "heard"}));
        draft_verb->add_option("--to", drafted.to,
                               "The target in dBFS AES17, dB above the rest or % heard; the median by default.");
        draft_verb->add_option("--depth", drafted.depth, "The share of the difference to even out, in %.")
            ->check(CLI::Range(0.0, 100.0));
        draft_verb->add_option("--within", drafted.wish.range_db, "The tolerance in dB.")->check(CLI::Range(0.0, 12.0));
        draft_verb->add_option("--up", drafted.wish.max_up_db, "The largest raise in dB.")
            ->check(CLI::Range(0.0, 12.0));
        draft_verb->add_option("--down", drafted.wish.max_down_db, "The largest reduction in dB.")
            ->check(CLI::Range(0.0, 40.0));
        draft_verb->add_option("--shortest", drafted.wish.shortest_s, "Shorter sounds are ignored, in seconds.")
            ->check(CLI::Range(0.1, 3.0));
        draft_verb
            ->add_option("--follow", drafted.wish.follow_s,
                         "Longer phrases are split into parts of this length, in seconds.")
            ->check(CLI::Range(0.5, 30.0));
        missing_flag(draft_verb);
        draft_verb->callback([=, this] {
            drafted.session = session, drafted.without_missing = without_missing;
            status = draft(drafted);
        });
    }

    /// Quick exports, and the recordings that the mix is compared with.
    void export_and_compare() {
        auto* render_verb =
            session_verb("render", "Exports the mix quickly, as one WAV file. For the hand-off use `deliver`.");
        render_verb->add_option("FILE", options.out, "The WAV file to write.")->required();
        render_verb->add_option("--bits", options.bits, "The bit depth: 16, 24 or 32f (floating point).")
            ->check(CLI::IsMember({"16", "24", "32f"}));
        render_verb->add_option("--rate", options.rate, "The sample rate in Hz; the session's by default.")
            ->check(CLI::Range(8000, 768000));
        render_verb->add_option("--from", options.from_s, "The start in seconds.");
        render_verb->add_option("--to", options.to_s, "The end in seconds.");
        render_verb
            ->add_option("--main-chain", options.main_chain,
                         "Exports the mix with the main output's chain bypassed or on; as in the session by default.")
            ->check(CLI::IsMember({"bypassed", "on"}));
        render_verb->add_option("--stems", options.stems, "A folder for one stem of each track.");
        render_verb->add_flag("--solo", options.solo, "Exports only soloed tracks; solo is ignored by default.");
        render_verb->add_option("--block", options.block, "The number of frames rendered at once.")
            ->check(CLI::Range(1, 16384));
        render_verb->add_flag("--print", options.as_print, print_help);
        missing_flag(render_verb);
        json_flag(render_verb);
        render_verb->callback([=, this] {
            options.session = session, options.as_json = as_json, options.without_missing = without_missing;
            status = render(options);
        });

        auto* compare_verb =
            session_verb("compare", "Compares the mix with a recording: levels, and third octaves at one loudness.");
        compare_verb->add_option("REFERENCE", compared.reference, "The name of a recording of the session, or a file.")
            ->required();
        missing_flag(compare_verb);
        json_flag(compare_verb);
        compare_verb->callback([=, this] {
            compared.session = session, compared.as_json = as_json, compared.without_missing = without_missing;
            status = compare(compared);
        });

        auto* reference_verb =
            session_verb("reference", "Lists, adds, changes and removes recordings to compare with.");
        action(reference_verb, recorded.what, {"list", "add", "set", "remove", "passage", "changes", "restore"},
               "passage marks a passage, changes lists the changes since a print, restore returns to the print.");
        auto* reference_name =
            reference_verb->add_option("NAME", recorded.name, "The name of the recording. For add: a file.");
        reference_verb->add_option("--note", recorded.note, "For add and set: what the recording is.");
        reference_verb->add_option("--passage", recorded.passage, "For passage: its name.");
        reference_verb->add_option("--from", recorded.from_s, "For passage: its start in seconds.");
        reference_verb->add_option("--to", recorded.to_s, "For passage: its end in seconds.");
        auto* song_from = reference_verb->add_option(
            "--song-from", recorded.song_from_s, "For passage: the start of the same part of the song, in seconds.");
        auto* song_to = reference_verb->add_option("--song-to", recorded.song_to_s,
                                                   "For passage: the end of the same part of the song, in seconds.");
        song_from->needs(song_to);
        song_to->needs(song_from);
        reference_verb->add_option("--channel", recorded.channel, "For restore: only this channel.");
        json_flag(reference_verb);
        reference_verb->callback([=, this] {
            if (recorded.what != "list" && reference_name->count() == 0) throw CLI::RequiredError("NAME");
            recorded.session = session, recorded.as_json = as_json;
            status = reference(recorded);
        });

        auto* note_verb = session_verb("note", "Lists, adds, changes and removes listening notes.");
        action(note_verb, noted.what, {"list", "add", "set", "remove"});
        note_verb->add_option("MORE", noted.more,
                              "For set and remove: the number as listed. For add and set: key=value with at=TIME, "
                              "text=WORDS, system=NAME, done=on|off.");
        json_flag(note_verb);
        note_verb->callback([=, this] {
            noted.session = session, noted.as_json = as_json;
            status = note(noted);
        });
    }

    /// For mastering.
    void hand_off() {
        auto* check_verb = session_verb("check", "Runs the checks before hand-off.");
        json_flag(check_verb);
        check_verb->callback([=, this] { status = check(session, as_json); });

        auto* deliver_verb = session_verb(
            "deliver", "Exports the hand-off: verified mix and stems in a folder, with sheet and checksums.");
        deliver_verb->add_option("FOLDER", delivery.folder, "The folder for the files.")->required();
        deliver_verb->add_option("--type", delivery.type, "The file type.")
            ->check(CLI::IsMember({"wav", "aiff", "flac", "ogg", "opus", "mp3"}));
        deliver_verb->add_option("--bits", delivery.bits, "The bit depth: 16, 24 or 32f (floating point).")
            ->check(CLI::IsMember({"16", "24", "32f"}));
        deliver_verb->add_option("--stems", delivery.stems, "One stem for each of these; none by default.")
            ->check(CLI::IsMember({"none", "tracks", "families", "buses", "groups"}));
        deliver_verb
            ->add_option("--main-chain", delivery.main_chain,
                         "Exports the mix with the main output's chain bypassed, on, or both; as in the session by "
                         "default.")
            ->check(CLI::IsMember({"bypassed", "on", "both"}));
        deliver_verb->add_flag("--returns-in-stems", delivery.shares,
                               "Adds the reverbs and effects of a track to its stem instead of exporting them apart.");
        deliver_verb->add_flag("--dry-run", delivery.dry_run,
                               "Writes nothing: lists the files, and the difference of the stems' sum to the mix.");
        deliver_verb->add_flag("--stems-before-main", delivery.before_main, "Exports stems without the main fader.");
        deliver_verb->add_option("--rate", delivery.rate, "The sample rate in Hz; the session's by default.")
            ->check(CLI::Range(8000, 768000));
        deliver_verb->add_option("--from", delivery.from_s, "The start in seconds.");
        deliver_verb->add_option("--to", delivery.to_s, "The end in seconds.");
        deliver_verb->add_flag("--sections", delivery.sections, "Exports each section as a file.");
        deliver_verb->add_flag("--tail", delivery.tail, "Continues until the sound has faded to silence.");
        deliver_verb->add_flag("--no-dither", delivery.undithered, "Rounds 16 and 24 bit without TPDF dither.");
        deliver_verb->add_flag("--bext", delivery.bext, "Writes Broadcast Wave.");
        deliver_verb->add_flag("--force", delivery.force, "Replaces existing files.");
        deliver_verb->add_flag("--print", delivery.as_print, print_help);
        missing_flag(deliver_verb);
        deliver_verb->add_flag("--json", as_json, "Prints the hand-off sheet as JSON on standard output.");
        deliver_verb->callback([=, this] {
            delivery.session = session, delivery.as_json = as_json, delivery.without_missing = without_missing;
            status = deliver_all(delivery);
        });

        auto* play_verb = session_verb("play", "Plays the session through a sound device.");
        play_verb->add_option("--device", played.device,
                              "A device of 'isotonus-cli devices'. Without it, what the desktop plays through.");
        play_verb->add_option("--seconds", played.seconds, "How long to play, in seconds.")
            ->required()
            ->check(above_zero);
        missing_flag(play_verb);
        json_flag(play_verb);
        auto* devices_verb = verb("devices", "Lists the sound devices that can be used now.");
        json_flag(devices_verb);
        devices_verb->callback([=, this] { status = list_devices(as_json); });
        play_verb->callback([=, this] {
            played.session = session, played.as_json = as_json, played.without_missing = without_missing;
            status = play_session(played);
        });
    }

    /// Lists of a session.
    void list_and_change() {
        auto* group_verb = list_verb("group", "Lists, adds, changes and removes groups.", groups,
                                     {"list", "add", "set", "remove"}, "The name of the group.", group);
        group_verb->add_option("MORE", groups.more,
                               "For add: its members. For set: key=value with fader=DB, mute=on|off, solo=on|off.");
        auto* section_verb =
            list_verb("section", "Lists, adds, changes, removes, imports and exports sections.", sections,
                      {"list", "add", "set", "remove", "import", "export"},
                      "The name of the section. For import: a MIDI file, or audio with cue points. For "
                      "export: a MIDI file.",
                      section);
        section_verb->add_option("SETTINGS", sections.more, "key=value: at=TIME in seconds, name=NAME.");
        auto* tempo_verb = session_verb("tempo", "Shows, sets, finds or removes the tempo of the song.");
        tempo_verb->add_option(
            "TEMPO", tempos.what,
            "Quarters a minute and a time signature, as 120 or '97.5 6/8'. find finds the tempo from "
            "kick and snare; none removes the tempo.");
        tempo_verb->add_option("--at", tempos.at_s, "The start of a bar in seconds; 0 by default.");
        tempo_verb->add_flag("--apply", tempos.apply, "With find: sets the tempo that was found.");
        json_flag(tempo_verb);
        tempo_verb->callback([=, this] {
            tempos.session = session, tempos.as_json = as_json;
            status = tempo(tempos);
        });
        auto* clip_verb = list_verb("clip", "Lists and edits the clips of a track.", clips,
                                    {"list", "split", "silence", "gain", "tame"}, "The name of the track.", clip);
        clip_verb->add_option("--at", clips.at_s, "For split: the time in seconds of the song.");
        clip_verb->add_option("--from", clips.from_s, "For silence and gain: the start in seconds of the song.");
        clip_verb->add_option("--to", clips.to_s, "For silence and gain: the end in seconds of the song.");
        clip_verb->add_option("--db", clips.by_db, "For gain: the change in dB.");
        auto* microphones = session_verb("align", "Finds delay and polarity of a track against another microphone.");
        microphones->add_option("CHANNEL", alignment.name, "The name of the track to move.")->required();
        microphones->add_option("REFERENCE", alignment.more, "The name of the track that stays.")
            ->required()
            ->expected(1);
        microphones->add_flag("--apply", alignment.apply, "Sets delay and polarity if the match is clear.");
        json_flag(microphones);
        microphones->callback([=, this] {
            alignment.session = session, alignment.as_json = as_json;
            status = align(alignment);
        });
        list_verb("sheet", "Lists, shows, uses and exports target sheets.", sheets, {"list", "show", "use", "export"},
                  "The name of a sheet, or a file.", sheet);
    }

    /// Tracks and their files.
    void change_tracks() {
        auto* track_verb =
            session_verb("track", "Moves, duplicates, renames or removes a track, or makes it an anchor.");
        track_verb->add_option("CHANNEL", tracks.name, "The name of the track.")->required();
        action(track_verb, tracks.what, {"up", "down", "duplicate", "remove", "rename", "anchor", "earlier", "later"},
               "earlier and later move an anchor in the order of anchors.");
        track_verb->add_option("MORE", tracks.more, "For rename: the new name. For anchor: on or off.")->expected(0, 1);
        track_verb->callback([=, this] {
            tracks.session = session;
            status = track(tracks);
        });
        auto* add_verb = session_verb("add", "Adds audio files as tracks.");
        add_verb->add_option("FILE", list, "Audio files, and folders of audio files.")->required();
        add_verb->callback([=, this] { status = add_files(session, list); });
        auto* relink_verb = session_verb("relink", "Finds missing files by their names, in a folder and below it.");
        relink_verb->add_option("FOLDER", folder, "The folder to search.")->required();
        relink_verb->callback([=, this] { status = relink(session, folder); });
        auto* pack_verb = session_verb("pack", "Saves the session with all its files in a new folder.");
        pack_verb->add_option("FOLDER", folder, "A new or empty folder.")->required();
        json_flag(pack_verb);
        pack_verb->callback([=, this] { status = pack_session(session, folder, as_json); });
    }

    /// For the shell.
    void complete() {
        auto* completion_verb = verb("completion", "Prints the completion of this program for bash.");
        completion_verb->group("");  // for packages
        completion_verb->add_flag("--verbs", only_verbs, "Prints each verb and its description, a line each.");
        completion_verb->callback([=, this] { only_verbs ? print_verbs(app) : print_completion(app); });
    }

    CLI::App app{"Isotonus without a display: measure, stage, balance, ride, export."};
    int status = done;
    std::string session, folder, name, parameter;
    std::vector<std::string> list;
    bool as_json = false, force = false, without_missing = false;
    RenderOptions options;
    bool demo_shaped = false;
    bool ride_bypass = false, ride_on = false;
    BusOptions bused;
    SendOptions sent;
    ShapeOptions shaped;
    PluginOptions outside;
    SuggestOptions suggested;
    BalanceOptions balanced;
    PresetOptions kept;
    DraftOptions drafted;
    CompareOptions compared;
    ReferenceOptions recorded;
    NoteOptions noted;
    DeliverOptions delivery;
    PlayOptions played;
    ListOptions groups, sections, tempos, clips, alignment, sheets;
    ListOptions tracks;
    bool only_verbs = false;
};

}  // namespace

int main(int argc, char** argv) {
    int status = file_trouble;
    try {
        status = CommandLine().run(argc, argv);
    } catch (const std::bad_alloc&) {
        complain({"", "the memory is full. Close other programs and try again."});
    } catch (const std::exception& e) {
        complain({"", e.what()});
    }
    // What was printed may still be on its way, and the way may be closed.
    if (std::fflush(stdout) != 0 || std::ferror(stdout) != 0)
        return complain({"standard output", "the result cannot be written. Check the disk and the pipe."});
    return status;
}
