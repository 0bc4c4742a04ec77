#include "core/handoff/sheet.h"

#include <fmt/format.h>

#include <cmath>

#include "core/session/fields.h"
#include "core/session/routing.h"
#include "core/shape/signal.h"
#include "core/stage/staging.h"
#include "core/words.h"

namespace isotonus {

using nlohmann::json;

namespace {

json json_of(const Level& value) { return value && std::isfinite(*value) ? json(*value) : json(nullptr); }
json json_of(double value) { return json_of(Level(value)); }

std::string decibels(const json& value, const char* unit = "dB") {
    return value.is_null() ? "off" : format_figures("{:+.1f} {}", value.get<double>(), unit);
}

std::string figure(const json& value, const char* unit) {
    return value.is_null() ? std::string("-") : format_figures("{:.1f} {}", value.get<double>(), unit);
}

std::string pan_words(double pan) {
    const long percent = std::lround(std::fabs(pan) * 100.0);
    if (percent == 0) return "centre";
    return fmt::format("{} % {}", percent, pan < 0.0 ? "left" : "right");
}

json rides_of(const Rides& rides) {
    json all = json::object();
    for (const Parameter p : parameters())
        if (const CurvePtr& curve = rides[p]) all[info_of(p).id] = curve->points.size();
    return all;
}

/// A chain as it was set: what is at rest is left out.
json chain_of(const Session& session, const Chain& chain, const Signal* signal) {
    json all = json::array();
    for (size_t n = 0; n < chain.size(); ++n) {
        const Processor& p = chain[n];
        json j = {{"type", p.type}, {"in", p.in}, {"settings", json::object()}};
        for (const auto& [id, value] : p.values)
            if (const ParameterInfo* info = parameter_of(p, id)) j["settings"][id] = shown_value(*info, value);
        if (p.key != 0) j["key"] = session.name_of(p.key);
        if (const auto r = signal && p.in ? signal->reduction(n) : std::nullopt)
            j["reduction"] = {{"most_db", r->max_db}, {"typical_db", r->typical_db}};
        all.push_back(std::move(j));
    }
    return all;
}

void put_chain_and_sends(json& j, const SheetInput& in, TrackId row) {
    const auto at =
        std::find_if(in.plan.tracks.begin(), in.plan.tracks.end(), [row](const PlanTrack& t) { return t.id == row; });
    if (const Chain& chain = *in.session.chain_of(row); !chain.empty()) {
        j["chain"] = chain_of(in.session, chain, at == in.plan.tracks.end() ? nullptr : signal_of(at->material).get());
        j["chain_out"] = in.session.is_chain_out(row) || in.session.chains_out;
    }
    const Sends* sends = in.session.sends_of(row);
    for (size_t n = 0; sends && n < sends->size(); ++n) {
        const Send& send = (*sends)[n];
        json one = {{"to", in.session.name_of(send.to)},
                    {"level_db", json_of(send.level_db)},
                    {"before_fader", send.before_fader},
                    {"in", send.in},
                    {"rides", json::object()}};
        if (send.own_pan) one["pan"] = send.pan;
        for (const ParameterInfo* info : parameters_of_sends())
            if (const CurvePtr& curve = (*in.session.rides_of(row))[Parameter::of_send(*info, send.id)])
                one["rides"][info->id] = curve->points.size();
        j["sends"].push_back(std::move(one));
    }
}

/// "ratio 4:1, attack ms 10 ms, key Kick; most 5.1 dB"
std::string processor_in_words(const json& p) {
    std::string text = p["in"].get<bool>() ? "" : "out";
    const auto add = [&text](const std::string& what) { text += (text.empty() ? "" : ", ") + what; };
    for (const auto& [id, value] : p["settings"].items()) add(fmt::format("{} {}", id, value.get<std::string>()));
    if (p.contains("key")) add("key " + p["key"].get<std::string>());
    if (p.contains("reduction"))
        add(format_figures("most {:.1f} dB, {:.1f} dB while it works", p["reduction"]["most_db"].get<double>(),
                           p["reduction"]["typical_db"].get<double>()));
    return text.empty() ? "at rest" : text;
}

/// "level 12 points, pan 4 points"
std::string rides_in_words(const json& rides) {
    std::string text;
    for (const auto& [id, points] : rides.items())
        text += fmt::format("{}{} ride of {} point{}", text.empty() ? "" : ", ", id, points.get<int>(),
                            points.get<int>() == 1 ? "" : "s");
    return text;
}

std::string time_in_words(double s) {
    return format_figures("{}:{:05.2f}", static_cast<int>(s) / 60, std::fmod(s, 60.0));
}

std::string escaped(const std::string& text) {
    std::string safe;
    for (const char c : text)
        if (c == '<')
            safe += "&lt;";
        else if (c == '>')
            safe += "&gt;";
        else if (c == '&')
            safe += "&amp;";
        else if (c == '\n')
            safe += "<br>";
        else
            safe += c;
    return safe;
}

/// The sheet as headed tables, for both printed forms.
struct Table {
    std::string title;
    std::vector<std::string> heads;
    std::vector<std::vector<std::string>> rows;
};

std::vector<Table> tables_of(const json& s) {
    std::vector<Table> tables;
    Table files{"Files", {"file", "peak", "true peak", "loudness", "length", "read back", "SHA-256"}, {}};
    for (const json& f : s["files"])
        files.rows.push_back({f["file"], figure(f["sample_peak_dbfs"], "dBFS"), figure(f["true_peak_dbtp"], "dBTP"),
                              figure(f["integrated_lufs"], "LUFS"), time_in_words(f["duration_s"]), f["proof"],
                              f["sha256"].get<std::string>().substr(0, 16) + "…"});
    tables.push_back(std::move(files));
    Table checks{"Checks", {"", "found"}, {}};
    const auto outcome_of = [](const json& c) {
        if (c["passed"].get<bool>()) return "ok";
        return c["notice"].get<bool>() ? "note" : "NO";
    };
    for (const json& c : s["checks"]) checks.rows.push_back({outcome_of(c), c["text"]});
    tables.push_back(std::move(checks));
    if (!s["listening_notes"].empty()) {
        Table notes{"Listening notes", {"at", "what", "heard on"}, {}};
        for (const json& n : s["listening_notes"])
            notes.rows.push_back({time_in_words(n["time_s"]), n["text"],
                                  n["heard_on"].get<std::string>().empty() ? "the room" : n["heard_on"]});
        tables.push_back(std::move(notes));
    }
    if (!s["sections"].empty()) {
        Table sections{"Sections", {"at", "name"}, {}};
        for (const json& x : s["sections"]) sections.rows.push_back({time_in_words(x["start_s"]), x["name"]});
        tables.push_back(std::move(sections));
    }
    Table recall{"Recall", {"track", "target", "trim", "fader", "pan", "to", "and"}, {}};
    for (const json& t : s["tracks"]) {
        std::string rest;
        const auto add = [&](const std::string& what) { rest += (rest.empty() ? "" : ", ") + what; };
        if (t["mute"].get<bool>()) add("muted");
        if (t["polarity_inverted"].get<bool>()) add("polarity inverted");
        if (t["width"].get<double>() != 1.0) add(format_figures("width {:.0f} %", t["width"].get<double>() * 100.0));
        if (t["delay_samples"].get<double>() != 0.0)
            add(format_figures("delay {:g} samples", t["delay_samples"].get<double>()));
        if (const std::string r = rides_in_words(t["rides"]); !r.empty()) add(r);
        if (const std::string n = t["note"]; !n.empty()) add(n);
        recall.rows.push_back({t["name"], t["target"], decibels(t["trim_db"]), decibels(t["fader_db"]),
                               pan_words(t["pan"]), t["output"], rest});
    }
    tables.push_back(std::move(recall));
    Table chains{"Chains", {"row", "", "processor", "settings"}, {}};
    Table sends{"Sends", {"row", "to", "level", "and"}, {}};
    const auto add_row = [&](const json& row) {
        int number = 0;
        for (const json& p : row.value("chain", json::array()))
            chains.rows.push_back({row["name"], fmt::format("{}", ++number), p["type"], processor_in_words(p)});
        for (const json& x : row.value("sends", json::array())) {
            std::string rest = x["before_fader"].get<bool>() ? "before the fader" : "after the fader";
            if (!x["in"].get<bool>()) rest += ", out";
            if (x.contains("pan")) rest += ", pan " + pan_words(x["pan"].get<double>());
            if (const std::string r = rides_in_words(x["rides"]); !r.empty()) rest += ", " + r;
            sends.rows.push_back({row["name"], x["to"], decibels(x["level_db"]), rest});
        }
    };
    for (const char* rows : {"tracks", "buses"})
        for (const json& row : s[rows]) add_row(row);
    add_row(s["main"]);
    if (!chains.rows.empty()) tables.push_back(std::move(chains));
    if (!sends.rows.empty()) tables.push_back(std::move(sends));
    if (!s["buses"].empty() || !s["groups"].empty()) {
        Table buses{"Buses and control groups", {"name", "", "fader", "and"}, {}};
        for (const json& b : s["buses"])
            buses.rows.push_back({b["name"], b["return"].get<bool>() ? "return" : "bus", decibels(b["fader_db"]),
                                  rides_in_words(b["rides"])});
        for (const json& g : s["groups"])
            buses.rows.push_back({g["name"], "control group", decibels(g["fader_db"]), rides_in_words(g["rides"])});
        tables.push_back(std::move(buses));
    }
    std::string on_main = rides_in_words(s["main"]["rides"]);
    if (s["main"].contains("chain"))
        on_main += (on_main.empty() ? "" : ", ") + s["main"]["chain_in_words"].get<std::string>();
    tables.push_back({"Main output",
                      {"fader", "and"},
                      {{decibels(s["main"]["fader_db"]), on_main.empty() ? "no processing" : on_main}}});
    return tables;
}

/// Characters, not bytes, of UTF-8.
size_t width_of(const std::string& text) {
    return static_cast<size_t>(std::count_if(text.begin(), text.end(), [](char c) { return (c & 0xc0) != 0x80; }));
}

std::string summary(const json& s) {
    std::string text = format_figures("{}, {:g} kHz, {}", time_in_words(s["duration_s"]),
                                      s["sample_rate"].get<int>() / 1000.0, s["sample_format"].get<std::string>());
    if (s["stems_compared"].get<bool>())
        text += s["stems_residue_dbfs"].is_null()
                    ? "; the stems sum to the mix to the last bit"
                    : format_figures("; the stems' sum differs from the mix by {:.1f} dBFS at most",
                                     s["stems_residue_dbfs"].get<double>());
    for (const json& missing : s["left_out"]) text += "; left out: " + missing.get<std::string>();
    return text;
}

const char* proof_in_words(Proof proof) {
    if (proof == Proof::same) return "same samples";
    return proof == Proof::alike ? "lossy, same level and length" : "DIFFERS";
}

json file_to_json(const DeliveredFile& f) {
    const Measurement& m = f.measured;
    return {{"file", f.file.filename().string()},
            {"part", f.part},
            {"section", f.excerpt},
            {"mix", f.is_mix},
            {"frames", m.frames},
            {"sample_rate", m.sample_rate},
            {"duration_s", m.duration_s()},
            {"bytes", f.bytes},
            {"sample_peak_dbfs", json_of(m.sample_peak_dbfs)},
            {"true_peak_dbtp", json_of(m.true_peak_dbtp)},
            {"integrated_lufs", json_of(m.integrated_lufs)},
            {"loudness_range_lu", json_of(m.loudness_range_lu)},
            {"clamped_samples", f.clamped_samples},
            {"proof", proof_in_words(f.proof)},
            {"sha256", f.sha256}};
}

json check_to_json(const Check& c) {
    return {{"id", c.id},
            {"passed", c.passed},
            {"notice", c.notice},
            {"measured", json_of(c.measured)},
            {"limit", json_of(c.limit)},
            {"text", c.text}};
}

json track_to_json(const SheetInput& in, const Track& t) {
    const auto at =
        std::find_if(in.plan.tracks.begin(), in.plan.tracks.end(), [&](const PlanTrack& p) { return p.id == t.id; });
    // Staging stands before the chain.
    const Measurement* m = at == in.plan.tracks.end() ? nullptr : &before_chain(*at->material).measurement;
    json j = {{"name", t.name},
              {"file", t.source.file.filename().string()},
              {"trim_db", json_of(t.trim_db)},
              {"fader_db", json_of(t.fader_db)},
              {"pan", t.pan},
              {"width", t.width},
              {"mute", t.mute},
              {"polarity_inverted", t.polarity_inverted},
              {"delay_samples", t.delay_samples},
              {"output", in.session.name_of(t.output)},
              {"rides", rides_of(t.rides)},
              {"note", t.note},
              {"target", ""}};
    if (m) {
        const Staging staged = staged_as_is(in.session.targets, t, *m);
        j["target"] = format_figures("{} {:g} … {:g}", measure_name(staged.target.measure), staged.target.low_dbfs,
                                     staged.target.high_dbfs);
        j["staged_dbfs"] = json_of(staged.after_dbfs);
        j["sample_peak_dbfs"] = json_of(m->sample_peak_dbfs);
        j["integrated_lufs"] = json_of(m->integrated_lufs);
    }
    put_chain_and_sends(j, in, t.id);
    return j;
}

json bus_to_json(const SheetInput& in, const Bus& b) {
    json j = {{"name", b.name},
              {"return", is_return(in.session, b.id)},
              {"trim_db", json_of(b.trim_db)},
              {"fader_db", json_of(b.fader_db)},
              {"pan", b.pan},
              {"width", b.width},
              {"mute", b.mute},
              {"output", in.session.name_of(b.output)},
              {"rides", rides_of(b.rides)}};
    put_chain_and_sends(j, in, b.id);
    return j;
}

}  // namespace

json sheet_to_json(const SheetInput& in) {
    json s = {{"format", "isotonus-hand-off"},
              {"version", 1},
              {"session", in.name},
              {"date", in.date},
              {"sample_rate", in.report.sample_rate},
              {"sample_format", in.report.format},
              {"duration_s", in.plan.duration_s()},
              {"notes", in.session.hand_off.notes},
              {"stems_compared", in.report.stems_compared},
              {"stems_residue_dbfs", json_of(in.report.residue_dbfs)},
              {"left_out", in.left_out}};
    for (const char* list : {"files", "checks", "sections", "tracks", "buses", "groups"}) s[list] = json::array();
    s["listening_notes"] = json::array();
    if (in.session.hand_off.listening_notes_on_sheet)
        for (const ListeningNote& n : in.session.notes)
            if (!n.done)
                s["listening_notes"].push_back({{"time_s", n.time_s}, {"text", n.text}, {"heard_on", n.heard_on}});
    for (const DeliveredFile& f : in.report.files) s["files"].push_back(file_to_json(f));
    for (const Check& c : in.checks) s["checks"].push_back(check_to_json(c));
    for (const Section& x : in.session.sections) s["sections"].push_back({{"name", x.name}, {"start_s", x.start_s}});
    for (const auto& track : in.session.tracks) s["tracks"].push_back(track_to_json(in, *track));
    for (const Bus& b : in.session.buses) s["buses"].push_back(bus_to_json(in, b));
    for (const ControlGroup& g : in.session.groups)
        s["groups"].push_back({{"name", g.name}, {"fader_db", json_of(g.fader_db)}, {"rides", rides_of(g.rides)}});
    const MainChainExport main_chain = main_chain_export(in.session);
    s["main"] = {{"name", "main"},
                 {"fader_db", json_of(in.session.main_fader_db)},
                 {"rides", rides_of(in.session.main_rides)},
                 {"chain_delivered", main_chain_names[static_cast<size_t>(main_chain.mixes)]},
                 {"chain_in_words", main_chain.sentence}};
    put_chain_and_sends(s["main"], in, main_output);
    return s;
}

std::string sheet_to_text(const json& s) {
    std::string text = fmt::format("{}\nHand-off sheet, {}\n{}\n", s["session"].get<std::string>(),
                                   s["date"].get<std::string>(), summary(s));
    if (const std::string notes = s["notes"]; !notes.empty()) text += "\nNotes\n\n" + notes + "\n";
    for (const Table& t : tables_of(s)) {
        std::vector<size_t> widths;
        for (const auto& head : t.heads) widths.push_back(width_of(head));
        for (const auto& row : t.rows)
            for (size_t c = 0; c < row.size(); ++c) widths[c] = std::max(widths[c], width_of(row[c]));
        const auto line = [&](const std::vector<std::string>& cells) {
            std::string out;
            for (size_t c = 0; c < cells.size(); ++c)
                out += cells[c] + std::string(c + 1 < cells.size() ? widths[c] - width_of(cells[c]) + 2 : 0, ' ');
            text += out + "\n";
        };
        text += "\n" + t.title + "\n\n";
        line(t.heads);
        for (const auto& row : t.rows) line(row);
    }
    text += "\nChecksums (SHA-256)\n\n";
    for (const json& f : s["files"])
        text += f["sha256"].get<std::string>() + "  " + f["file"].get<std::string>() + "\n";
    return text;
}

std::string sheet_to_html(const json& s) {
    std::string html = fmt::format("<h1>{}</h1><p>Hand-off sheet, {}<br>{}</p>", escaped(s["session"]),
                                   escaped(s["date"]), escaped(summary(s)));
    if (const std::string notes = s["notes"]; !notes.empty()) html += "<h2>Notes</h2><p>" + escaped(notes) + "</p>";
    for (const Table& t : tables_of(s)) {
        html += "<h2>" + escaped(t.title) + "</h2><table cellspacing='0' cellpadding='3' width='100%'><tr>";
        for (const auto& head : t.heads) html += "<th align='left'>" + escaped(head) + "</th>";
        html += "</tr>";
        for (const auto& row : t.rows) {
            html += "<tr>";
            for (const auto& cell : row) html += "<td>" + escaped(cell) + "</td>";
            html += "</tr>";
        }
        html += "</table>";
    }
    return html;
}

}  // namespace isotonus
