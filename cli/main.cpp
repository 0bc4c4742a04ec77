// isotonus-cli: all of the job without a display.
// Exit status: 0 done; 1 a check did not pass; 2 wrong usage; 3 a file could not be read or written.

#include <CLI/CLI.hpp>
#include <algorithm>

#include "cli/verbs.h"

using namespace isotonus::cli;

namespace {

/// CLI11's own one answers with a range of three hundred digits.
const CLI::Validator above_zero(
    [](const std::string& text) {
        double value = 0.0;
        return CLI::detail::lexical_cast(text, value) && value > 0.0 ? "" : "'" + text + "' is no number above 0";
    },
    "above 0");

/// Every verb with its arguments; what the parser finds lies here until the verb runs.
class CommandLine {
  public:
    CommandLine() {
        app.name("isotonus-cli");
        app.require_subcommand(1);
        app.set_version_flag("--version", "isotonus-cli " ISOTONUS_VERSION);
        app.failure_message([](const CLI::App* a, const CLI::Error& e) {
            return "isotonus-cli: " + isotonus::printable(e.what()) + "\nSee isotonus-cli " +
                   (a->get_parent() ? a->get_name() + " " : "") + "--help\n";
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
        // The parser takes a word that begins with a sign and a letter for an option.
        std::vector<std::string> arguments(argv + 1, argv + argc);
        std::replace(arguments.begin(), arguments.end(), std::string("-inf"), std::string("off"));
        std::reverse(arguments.begin(), arguments.end());  // as it wants them
        try {
            app.parse(std::move(arguments));
        } catch (const CLI::ParseError& e) {
            return app.exit(e) == 0 ? done : wrong_usage;
        }
        return status;
    }

  private:
    CLI::App* verb(const char* word, const char* what) { return app.add_subcommand(word, what); }
    void json_flag(CLI::App* a) { a->add_flag("--json", as_json, "one JSON document on standard output"); }
    void session_argument(CLI::App* a) { a->add_option("SESSION", session, "session file")->required(); }
    static void may_name(CLI::App* v, ListOptions& o, const char* what) { v->add_option("NAME", o.name, what); }
    CLI::App* list_verb(const char* word, const char* what, ListOptions& o, const std::vector<std::string>& ways,
                        int (*run)(const ListOptions&)) {
        auto* v = verb(word, what);
        v->add_option("SESSION", o.session, "session file")->required();
        v->add_option("WHAT", o.what)->required()->check(CLI::IsMember(ways));
        json_flag(v);
        v->callback([this, &o, run] {
            o.as_json = as_json;
            status = run(o);
        });
        return v;
    }

    /// Sessions, and what is known of their files.
    void make_and_measure() {
        auto* demo_verb = verb("demo", "write the demo's audio and DIR/demo.isotonus");
        demo_verb->add_option("DIR", folder)->required();
        demo_verb->add_flag("--shaped", demo_shaped, "with chains where its faults ask for them");
        demo_verb->callback([=, this] { status = make_demo(folder, demo_shaped); });

        auto* scan_verb = verb("scan", "measure audio files");
        scan_verb->add_option("FILE", list)->required();
        json_flag(scan_verb);
        scan_verb->callback([=, this] { status = scan(list, as_json); });

        auto* new_verb = verb("new", "a session from a folder of audio files");
        session_argument(new_verb);
        new_verb->add_option("--from", folder, "folder of audio files")->required();
        new_verb->add_flag("--force", force, "replace an existing session");
        new_verb->callback([=, this] { status = make_new(session, folder, force); });

        auto* show_verb = verb("show", "tracks and settings");
        session_argument(show_verb);
        json_flag(show_verb);
        show_verb->callback([=, this] { status = show(session, as_json); });

        auto* stage_verb = verb("stage", "measure, compute and store every trim by the session's target sheet");
        session_argument(stage_verb);
        json_flag(stage_verb);
        stage_verb->callback([=, this] { status = stage(session, as_json); });
    }

    /// Settings, rides and routing.
    void change_settings() {
        auto* set_verb =
            verb("set",
                 "change settings: trim fader pan width low_centre mute solo solo_safe polarity delay kind target "
                 "staged_without");
        session_argument(set_verb);
        set_verb->add_option("TRACK", name, "a track's name, or main")->required();
        set_verb->add_option("SETTINGS", list, "KEY=VALUE")->required();
        set_verb->callback([=, this] { status = set(session, name, list); });

        auto* ride_verb = verb("ride", "replace a ride's points: seconds = value");
        session_argument(ride_verb);
        ride_verb->add_option("TRACK", name, "a track, a bus, a control group, or main")->required();
        ride_verb
            ->add_option("PARAMETER", parameter,
                         "level, trim, pan, width, mute, PLACE.NAME of a processor, send.BUS.level")
            ->required();
        ride_verb->add_option("POINTS", list, "TIME=VALUE; none takes the ride away");
        ride_verb->add_flag("--out", ride_out, "leave its points, and hear it as if it were not there");
        ride_verb->add_flag("--in", ride_in, "hear it again")->excludes("--out");
        ride_verb->callback([=, this] {
            status = ride_out || ride_in ? ride_in_or_out(session, name, parameter, ride_out)
                                         : ride(session, name, parameter, list);
        });

        auto* bus_verb = verb("bus", "buses and returns: list, add NAME [ROW...], set NAME KEY=VALUE..., remove NAME");
        bus_verb->add_option("SESSION", bused.session)->required();
        bus_verb->add_option("WHAT", bused.what, "list, add, set or remove")
            ->required()
            ->check(CLI::IsMember({"list", "add", "set", "remove"}));
        auto* bus_name = bus_verb->add_option("NAME", bused.name);
        bus_verb->add_option("MORE", bused.more,
                             "add: rows that lead to it; set: trim fader pan width mute solo, output=BUS or main");
        bus_verb->add_flag("--json", bused.as_json, "one JSON document on standard output");
        bus_verb->callback([=, this] {
            if (bused.what != "list" && bus_name->count() == 0) throw CLI::RequiredError("NAME");
            status = bus(bused);
        });

        auto* send_verb = verb("send", "a copy of a row that goes to a bus");
        send_verb->add_option("SESSION", sent.session)->required();
        send_verb->add_option("ROW", sent.row, "a track or a bus")->required();
        send_verb->add_option("BUS", sent.bus)->required();
        send_verb->add_option("LEVEL", sent.level, "dB, or -inf; none takes the send away")->required();
        send_verb->add_flag("--pre", sent.before_fader, "before the fader and the mute");
        send_verb->add_flag("--out", sent.out, "there, and not heard");
        send_verb->add_option("--pan", sent.pan, "a place of its own, -1 to 1; else the row's")
            ->check(CLI::Range(-1.0, 1.0));
        send_verb->callback([=, this] { status = send(sent); });
    }

    /// Chains and what advises them.
    void shape_channels() {
        auto* shape_verb = verb("shape", "show a row's chain, or set one of its processors");
        shape_verb->add_option("SESSION", shaped.session)->required();
        shape_verb->add_option("ROW", shaped.row, "a track, a bus, or main")->required();
        auto* place = shape_verb->add_option("PLACE", shaped.place, "1, 2, …")->check(above_zero);
        shape_verb->add_option("TYPE", shaped.type, "of processor; none takes it away")->needs(place);
        shape_verb->add_option("SETTINGS", shaped.assignments, "KEY=VALUE");
        shape_verb->add_flag("--json", shaped.as_json, "one JSON document on standard output");
        shape_verb->callback([=, this] {
            if (shaped.place > 0 && shaped.type.empty()) throw CLI::RequiredError("TYPE");
            status = shape(shaped);
        });

        auto* plugins_verb =
            verb("plugins", "LV2 plug-ins of this machine, which `shape` uses as the type lv2 with uri=URI");
        plugins_verb->add_option("WHAT", outside.what, "list: those that were found; scan: look again")
            ->check(CLI::IsMember({"list", "scan"}));
        plugins_verb->add_option("WORDS", outside.words, "of name, class, maker or URI");
        plugins_verb->add_flag("--json", outside.as_json, "one JSON document on standard output");
        plugins_verb->callback([=, this] { status = plugins(outside); });

        auto* advise_verb =
            verb("advise", "what the whole song says about a row's chain, or about headroom; --take makes it settings");
        advise_verb->add_option("SESSION", advised.session)->required();
        advise_verb
            ->add_option("WHAT", advised.what, "low_cut, reduction, trouble, room, note, duck, headroom or levels")
            ->required()
            ->check(CLI::IsMember({"low_cut", "reduction", "trouble", "room", "note", "duck", "headroom", "levels"}));
        advise_verb->add_option("ROW", advised.row,
                                "a track; headroom: which of the ways to take, all_down, largest or not_anchors");
        advise_verb->add_option("MORE", advised.more,
                                "reduction: PLACE and typical=DB or most=DB; duck: the key's track");
        advise_verb->add_flag("--take", advised.take, "as ordinary settings of the session");
        advise_verb->add_flag("--without-missing", advised.without_missing,
                              "also when files or processors are missing, and without them");
        advise_verb->add_flag("--json", advised.as_json, "one JSON document on standard output");
        advise_verb->callback([=, this] { status = advise(advised); });

        auto* preset_verb =
            verb("preset", "chains kept under a name: list, add NAME ROW, set NAME ROW..., remove NAME");
        preset_verb->add_option("SESSION", kept.session)->required();
        preset_verb->add_option("WHAT", kept.what, "list, add, set or remove")
            ->required()
            ->check(CLI::IsMember({"list", "add", "set", "remove"}));
        auto* preset_name = preset_verb->add_option("NAME", kept.name);
        preset_verb->add_option("ROWS", kept.rows, "add: whose chain is kept; set: whose chain it becomes");
        preset_verb->add_flag("--append", kept.append,
                              "set: behind the chains that are there, in place of replacing them");
        preset_verb->add_option("--purpose", kept.purpose, "what it is for, in a sentence");
        preset_verb->add_flag("--json", kept.as_json, "one JSON document on standard output");
        preset_verb->callback([=, this] {
            if (kept.what != "list" && preset_name->count() == 0) throw CLI::RequiredError("NAME");
            status = preset(kept);
        });

        auto* draft_verb = verb("draft", "a level ride for a track, so that its phrases sit alike");
        draft_verb->add_option("SESSION", drafted.session)->required();
        draft_verb->add_option("TRACK", drafted.track)->required();
        draft_verb->add_option("--by", drafted.by, "level, rest (of the mix) or heard (share of its bands)")
            ->check(CLI::IsMember({"level", "rest", "heard"}));
        draft_verb->add_option("--to", drafted.to, "dBFS AES17, dB above the rest, or % heard; the median if not said");
        draft_verb->add_option("--depth", drafted.depth, "% of the difference")->check(CLI::Range(0.0, 100.0));
        draft_verb->add_option("--within", drafted.wish.range_db, "dB that are left alone")
            ->check(CLI::Range(0.0, 12.0));
        draft_verb->add_option("--up", drafted.wish.most_up_db, "dB at most")->check(CLI::Range(0.0, 12.0));
        draft_verb->add_option("--down", drafted.wish.most_down_db, "dB at most")->check(CLI::Range(0.0, 40.0));
        draft_verb->add_option("--shortest", drafted.wish.shortest_s, "seconds; shorter sounds are left alone")
            ->check(CLI::Range(0.1, 3.0));
        draft_verb->add_option("--follow", drafted.wish.follow_s, "seconds; longer phrases are followed in parts")
            ->check(CLI::Range(0.5, 30.0));
        draft_verb->add_flag("--without-missing", drafted.without_missing,
                             "also when files or processors are missing, and without them");
        draft_verb->callback([=, this] { status = draft(drafted); });
    }

    static constexpr const char* print_help =
        "keep the mix as a print of the session, to compare with; a file that is there gets a number beside it";

    /// What the mix is compared with.
    void export_and_compare() {
        auto* render_verb = verb("render", "export the mix as WAV");
        render_verb->add_option("SESSION", options.session)->required();
        render_verb->add_option("OUT", options.out)->required();
        render_verb->add_option("--bits", options.bits, "16, 24 or 32f")->check(CLI::IsMember({"16", "24", "32f"}));
        render_verb->add_option("--rate", options.rate, "Hz")->check(CLI::Range(8000, 768000));
        render_verb->add_option("--from", options.from_s, "seconds");
        render_verb->add_option("--to", options.to_s, "seconds");
        render_verb
            ->add_option("--main-chain", options.main_chain,
                         "out or in: the mix without the main output's chain, or with it; else as the session says")
            ->check(CLI::IsMember({"out", "in"}));
        render_verb->add_option("--stems", options.stems, "a folder for one file for each track");
        render_verb->add_flag("--solo", options.solo, "render what is soloed; otherwise solo is left aside");
        render_verb->add_option("--block", options.block, "frames rendered at once")->check(CLI::Range(1, 16384));
        render_verb->add_flag("--without-missing", options.without_missing,
                              "also when files or processors are missing, and without them");
        render_verb->add_flag("--print", options.as_print, print_help);
        render_verb->add_flag("--json", options.as_json, "one JSON document on standard output");
        render_verb->callback([=, this] { status = render(options); });

        auto* compare_verb =
            verb("compare", "the mix beside a recording: levels, and third octaves matched in loudness");
        compare_verb->add_option("SESSION", compared.session)->required();
        compare_verb->add_option("REFERENCE", compared.reference, "of the session's list, or a file")->required();
        compare_verb->add_flag("--without-missing", compared.without_missing,
                               "also when files or processors are missing, and without them");
        compare_verb->add_flag("--json", compared.as_json, "one JSON document on standard output");
        compare_verb->callback([=, this] { status = compare(compared); });

        auto* reference_verb = verb(
            "reference",
            "what the mix is compared with: list, add FILE, set NAME --note, remove NAME; passage NAME --from --to "
            "--song-from --song-to; changes NAME, take-back NAME [--row]");
        reference_verb->add_option("SESSION", recorded.session)->required();
        reference_verb->add_option("WHAT", recorded.what, "list, add, set, remove, passage, changes or take-back")
            ->required()
            ->check(CLI::IsMember({"list", "add", "set", "remove", "passage", "changes", "take-back"}));
        auto* reference_name = reference_verb->add_option("NAME", recorded.name, "add: a file; else as it is listed");
        reference_verb->add_option("--note", recorded.note, "what it is");
        reference_verb->add_option("--passage", recorded.passage, "a passage's name");
        reference_verb->add_option("--from", recorded.from_s, "where a passage of it begins, s");
        reference_verb->add_option("--to", recorded.to_s, "where it ends, s");
        auto* song_from = reference_verb->add_option("--song-from", recorded.song_from_s,
                                                     "the stretch of the song that stands against it begins here, s");
        auto* song_to = reference_verb->add_option("--song-to", recorded.song_to_s, "and ends here, s");
        song_from->needs(song_to);
        song_to->needs(song_from);
        reference_verb->add_option("--row", recorded.row, "take-back: this row alone");
        reference_verb->add_flag("--json", recorded.as_json, "one JSON document on standard output");
        reference_verb->callback([=, this] {
            if (recorded.what != "list" && reference_name->count() == 0) throw CLI::RequiredError("NAME");
            status = reference(recorded);
        });

        auto* note_verb = verb("note",
                               "listening notes: list; add --at S --text WORDS [--heard-on WHAT]; done, undone or "
                               "remove NUMBER");
        note_verb->add_option("SESSION", noted.session)->required();
        note_verb->add_option("WHAT", noted.what, "list, add, done, undone or remove")
            ->required()
            ->check(CLI::IsMember({"list", "add", "done", "undone", "remove"}));
        note_verb->add_option("NUMBER", noted.number, "as listed, from 1");
        note_verb->add_option("--at", noted.time_s, "where in the song, s");
        note_verb->add_option("--text", noted.text, "what was noticed");
        note_verb->add_option("--heard-on", noted.heard_on, "the playback system");
        note_verb->add_flag("--json", noted.as_json, "one JSON document on standard output");
        note_verb->callback([=, this] { status = note(noted); });
    }

    /// What goes to mastering.
    void hand_off() {
        auto* check_verb = verb("check", "the checks before hand-off");
        session_argument(check_verb);
        json_flag(check_verb);
        check_verb->callback([=, this] { status = check(session, as_json); });

        auto* deliver_verb = verb("deliver", "mix and stems into a folder, read back, with a sheet and checksums");
        deliver_verb->add_option("SESSION", delivery.session)->required();
        deliver_verb->add_option("FOLDER", delivery.folder)->required();
        deliver_verb->add_option("--type", delivery.type)
            ->check(CLI::IsMember({"wav", "aiff", "flac", "ogg", "opus", "mp3"}));
        deliver_verb->add_option("--bits", delivery.bits, "16, 24 or 32f")->check(CLI::IsMember({"16", "24", "32f"}));
        deliver_verb->add_option("--stems", delivery.stems, "none, tracks, families, buses or groups")
            ->check(CLI::IsMember({"none", "tracks", "families", "buses", "groups"}));
        deliver_verb
            ->add_option("--main-chain", delivery.main_chain,
                         "out, in or both: the mix without, with, or twice; else as "
                         "the session says")
            ->check(CLI::IsMember({"out", "in", "both"}));
        deliver_verb->add_flag(
            "--shares", delivery.shares,
            "in each stem of tracks or families what returns and buses with chains make of it, in place "
            "of stems of their own");
        deliver_verb->add_flag(
            "--dry-run", delivery.dry_run,
            "write nothing; say which files it would be, and how far the stems' sum is from the mix");
        deliver_verb->add_flag("--before-main", delivery.before_main, "stems without the main fader");
        deliver_verb->add_option("--rate", delivery.rate, "Hz")->check(CLI::Range(8000, 768000));
        deliver_verb->add_option("--from", delivery.from_s, "seconds");
        deliver_verb->add_option("--to", delivery.to_s, "seconds");
        deliver_verb->add_flag("--sections", delivery.sections, "each section by itself");
        deliver_verb->add_flag("--tail", delivery.tail, "go on until it is silent");
        deliver_verb->add_flag("--no-dither", delivery.undithered, "16 and 24 bit rounded, without TPDF dither");
        deliver_verb->add_flag("--bext", delivery.bext, "Broadcast Wave");
        deliver_verb->add_flag("--force", delivery.force, "replace files that are there");
        deliver_verb->add_flag("--without-missing", delivery.without_missing,
                               "also when files or processors are missing, and without them");
        deliver_verb->add_flag("--print", delivery.as_print, print_help);
        deliver_verb->add_flag("--json", delivery.as_json, "the hand-off sheet on standard output");
        deliver_verb->callback([=, this] { status = deliver_all(delivery); });

        auto* play_verb = verb("play", "play through the real-time engine");
        play_verb->add_option("SESSION", played.session, "session file")->required();
        play_verb->add_option("--device", played.device, "a device's name, or simulated")->required();
        play_verb->add_option("--seconds", played.seconds)->required()->check(above_zero);
        play_verb->add_flag("--without-missing", played.without_missing,
                            "also when files or processors are missing, and without them");
        play_verb->add_flag("--json", played.as_json, "one JSON document on standard output");
        play_verb->callback([=, this] { status = play_session(played); });
    }

    /// Lists of a session.
    void list_and_change() {
        auto* group_verb =
            list_verb("group", "control groups: list, add NAME ROW..., set NAME fader=DB mute=on solo=on, remove NAME",
                      groups, {"list", "add", "set", "remove"}, group);
        may_name(group_verb, groups, "a group's name");
        group_verb->add_option("MORE", groups.more, "rows, or fader=DB mute=on|off solo=on|off");
        auto* section_verb =
            list_verb("section",
                      "sections and tempo: list, add NAME --at S, rename NAME NEW, remove NAME, import or "
                      "export FILE (MIDI; cue points of an audio file)",
                      sections, {"list", "add", "rename", "remove", "import", "export"}, section);
        may_name(section_verb, sections, "a section's name, or a file");
        section_verb->add_option("NEW", sections.more, "the new name");
        section_verb->add_option("--at", sections.at_s, "seconds");
        CLI::App* tempo_verb = verb("tempo",
                                    "the song's tempo; 120 or '97.5 6/8' sets it from --at on, find finds it from kick "
                                    "and snare (--take sets it), none takes it away");
        session_argument(tempo_verb);
        tempo_verb->add_option("TEMPO", tempos.what, "quarters a minute and a time signature, find, or none");
        tempo_verb->add_option("--at", tempos.at_s, "seconds, where a bar starts (0 without it)");
        tempo_verb->add_flag("--take", tempos.take, "set the tempo that was found");
        json_flag(tempo_verb);
        tempo_verb->callback([=, this] {
            tempos.session = session, tempos.as_json = as_json;
            status = tempo(tempos);
        });
        auto* clip_verb = list_verb("clip",
                                    "clips of a track: list; split --at S; silence --from S --to S; gain --from S --to "
                                    "S --db DB; tame its spikes",
                                    clips, {"list", "split", "silence", "gain", "tame"}, clip);
        may_name(clip_verb, clips, "a track's name");
        for (const auto& [option, value] :
             {std::pair{"--at", &clips.at_s}, {"--from", &clips.from_s}, {"--to", &clips.to_s}})
            clip_verb->add_option(option, *value, "seconds of the song");
        clip_verb->add_option("--db", clips.by_db, "louder or quieter");
        CLI::App* aligned_verb =
            verb("align", "how late a track is against another one, and which way round; --take puts it right");
        session_argument(aligned_verb);
        aligned_verb->add_option("TRACK", alignment.name, "what is moved")->required();
        aligned_verb->add_option("TO", alignment.more, "what it is aligned to")->required()->expected(1);
        aligned_verb->add_flag("--take", alignment.take, "put it right, when it is sure enough");
        json_flag(aligned_verb);
        aligned_verb->callback([=, this] {
            alignment.session = session, alignment.as_json = as_json;
            status = align(alignment);
        });
        auto* sheet_verb = list_verb("sheet", "target sheets: list; show; use NAME or FILE; export FILE", sheets,
                                     {"list", "show", "use", "export"}, sheet);
        may_name(sheet_verb, sheets, "a sheet's name, or a file");
    }

    /// Tracks and their files.
    void change_tracks() {
        auto* row_verb = verb("row",
                              "a track's row: up, down, duplicate, remove, rename NEW, anchor on or off, earlier or "
                              "later among the anchors");
        session_argument(row_verb);
        row_verb->add_option("TRACK", rows.name, "a track's name")->required();
        row_verb->add_option("WHAT", rows.what)
            ->required()
            ->check(CLI::IsMember({"up", "down", "duplicate", "remove", "rename", "anchor", "earlier", "later"}));
        row_verb->add_option("MORE", rows.more, "the new name; on or off")->expected(0, 1);
        row_verb->callback([=, this] {
            rows.session = session;
            status = row(rows);
        });
        auto* add_verb = verb("add", "tracks for more audio files, or for those of a folder");
        session_argument(add_verb);
        add_verb->add_option("FILE", list, "audio files and folders")->required();
        add_verb->callback([=, this] { status = add_files(session, list); });
        auto* relink_verb = verb("relink", "finds files that are missing by their names, in a folder and below it");
        session_argument(relink_verb);
        relink_verb->add_option("FOLDER", folder)->required();
        relink_verb->callback([=, this] { status = relink(session, folder); });
        auto* collect_verb = verb("collect", "the session and all that it needs in a new folder that opens anywhere");
        session_argument(collect_verb);
        collect_verb->add_option("FOLDER", folder, "new, or empty")->required();
        json_flag(collect_verb);
        collect_verb->callback([=, this] { status = collect_session(session, folder, as_json); });
    }

    /// For the shell.
    void complete() {
        auto* completion_verb = verb("completion", "completion of this program, for bash");
        completion_verb->group("");  // not for people
        completion_verb->add_flag("--verbs", only_verbs, "each verb and what it does, a line each");
        completion_verb->callback([=, this] { only_verbs ? print_verbs(app) : print_completion(app); });
    }

    CLI::App app{"Isotonus without a display: measure, stage, balance, ride, export."};
    int status = done;
    std::string session, folder, name, parameter;
    std::vector<std::string> list;
    bool as_json = false, force = false;
    RenderOptions options;
    bool demo_shaped = false;
    bool ride_out = false, ride_in = false;
    BusOptions bused;
    SendOptions sent;
    ShapeOptions shaped;
    PluginOptions outside;
    AdviseOptions advised;
    PresetOptions kept;
    DraftOptions drafted;
    CompareOptions compared;
    ReferenceOptions recorded;
    NoteOptions noted;
    DeliverOptions delivery;
    PlayOptions played;
    ListOptions groups, sections, tempos, clips, alignment, sheets;
    ListOptions rows;
    bool only_verbs = false;
};

}  // namespace

int main(int argc, char** argv) {
    int status = file_trouble;
    try {
        status = CommandLine().run(argc, argv);
    } catch (const std::bad_alloc&) {
        complain({"", "there is not enough memory"});
    } catch (const std::exception& e) {
        complain({"", e.what()});
    }
    // What was printed may still be on its way, and the way may be closed.
    if (std::fflush(stdout) != 0 || std::ferror(stdout) != 0)
        return complain({"standard output", "what was found cannot be written"});
    return status;
}
