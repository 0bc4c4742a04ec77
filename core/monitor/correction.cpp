#include "core/monitor/correction.h"

#include <algorithm>
#include <charconv>
#include <cmath>

#include "core/files/paths.h"

namespace isotonus {

namespace {

/// The numbers of a line; none where something else stands in it.
std::vector<double> numbers_in(const std::string& line) {
    std::vector<double> found;
    const char *at = line.data(), *const end = at + line.size();
    const auto between = [](char c) { return c == ' ' || c == '\t' || c == ',' || c == ';' || c == '\r'; };
    for (;;) {
        while (at != end && between(*at)) ++at;
        if (at == end) return found;
        if (*at == '+') ++at;
        double value = 0.0;
        const auto read = std::from_chars(at, end, value);
        if (read.ec != std::errc{} || (read.ptr != end && !between(*read.ptr))) return {};
        found.push_back(value);
        at = read.ptr;
    }
}

}  // namespace

double CorrectionCurve::db_at(double hz) const {
    const auto above = std::find_if(points.begin(), points.end(), [hz](const CorrectionPoint& p) { return p.hz > hz; });
    if (above == points.begin()) return points.front().db;
    if (above == points.end()) return points.back().db;
    const CorrectionPoint &a = *(above - 1), &b = *above;
    return a.db + (b.db - a.db) * std::log(hz / a.hz) / std::log(b.hz / a.hz);
}

Result<CorrectionCurve> read_correction(const std::filesystem::path& file) {
    constexpr uintmax_t max_bytes = uintmax_t{1} << 20;
    constexpr size_t max_points = 10000;
    const auto text = read_whole(file, max_bytes);
    if (!text) return tl::unexpected(text.error());
    CorrectionCurve curve{file.stem().string(), {}};
    size_t number = 0;
    for (size_t from = 0; from < text->size();) {
        const size_t to = std::min(text->find('\n', from), text->size());
        const std::string line = text->substr(from, to - from);
        from = to + 1;
        ++number;
        const size_t first = line.find_first_not_of(" \t\r");
        if (first == std::string::npos || line[first] == '#' || std::isalpha(static_cast<unsigned char>(line[first])) ||
            line[first] == '"')
            continue;
        const std::vector<double> values = numbers_in(line);
        const auto wrong = [&](const std::string& what) {
            return fail(file.string(), translate("line {}: {}. Correct the line in a text editor.", number, what));
        };
        if (values.size() < 2) return wrong(translated("a frequency in Hz and a gain in dB are expected"));
        const CorrectionPoint p{values[0], values[1]};
        if (!(p.hz >= 10.0 && p.hz <= 40000.0)) return wrong(translated("the frequency must be from 10 to 40,000 Hz"));
        if (!(p.db >= -24.0 && p.db <= 24.0)) return wrong(translated("the gain must be from −24 to +24 dB"));
        if (!curve.points.empty() && p.hz <= curve.points.back().hz)
            return wrong(translated("each frequency must be higher than the one before"));
        if (curve.points.size() == max_points) return wrong(translated("a curve has at most 10,000 points"));
        curve.points.push_back(p);
    }
    if (curve.points.empty())
        return fail(file.string(), translated("no line has a frequency and a gain. Choose a correction curve as CSV."));
    return curve;
}

std::vector<Biquad> correction_sections(const CorrectionCurve& curve, double rate) {
    constexpr double q = 3.0;  // neighbours a third of an octave away meet at about half their gain
    std::vector<double> hz, wanted;
    for (int n = 13; n <= 43; ++n)  // 20 Hz to 20 kHz, IEC 61260-1
        if (const double middle = std::pow(10.0, n / 10.0); middle < 0.45 * rate) {
            hz.push_back(middle);
            wanted.push_back(curve.db_at(middle));
        }
    const size_t count = hz.size();
    // What a bell of 1 dB gives at each of the others.
    std::vector<std::vector<double>> share(count, std::vector<double>(count));
    for (size_t b = 0; b < count; ++b)
        for (size_t i = 0; i < count; ++i) {
            const Biquad one = bell(hz[b], q, 1.0, rate);
            share[i][b] = response_db({&one, 1}, hz[i], rate);
        }
    std::vector<double> gains(count, 0.0);
    std::vector<Biquad> sections(count);
    for (int step = 0; step < 6; ++step) {
        for (size_t b = 0; b < count; ++b) sections[b] = bell(hz[b], q, gains[b], rate);
        std::vector<double> missing(count);
        for (size_t i = 0; i < count; ++i) {
            missing[i] = wanted[i] - response_db(sections, hz[i], rate);
        }
        // The matrix has its largest share on the diagonal: Gauss and Seidel's steps settle.
        std::vector<double> more(count, 0.0);
        for (int round = 0; round < 60; ++round)
            for (size_t i = 0; i < count; ++i) {
                double rest = missing[i];
                for (size_t b = 0; b < count; ++b)
                    if (b != i) rest -= share[i][b] * more[b];
                more[i] = rest / share[i][i];
            }
        for (size_t b = 0; b < count; ++b) gains[b] = std::clamp(gains[b] + more[b], -36.0, 36.0);
    }
    for (size_t b = 0; b < count; ++b) sections[b] = bell(hz[b], q, gains[b], rate);
    std::erase_if(sections, [](const Biquad& s) { return s.b0 == 1.0 && s.b1 == s.a1 && s.b2 == s.a2; });
    return sections;
}

}  // namespace isotonus
