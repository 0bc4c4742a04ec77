#include "app/shape/frequency.h"

#include <QCoreApplication>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "app/style/text.h"
#include "app/style/theme.h"
#include "core/shape/response.h"
#include "core/words.h"

namespace isotonus {

QString hz_text(double hz) {
    return hz >= 1000.0 ? QCoreApplication::translate("Shape", "%1 kHz")
                              .arg(QString::fromStdString(format_figures("{:.3g}", hz / 1000.0)))
                        : QCoreApplication::translate("Shape", "%1 Hz").arg(std::lround(hz));
}

const Processor* first_of(const Chain& chain, std::string_view type) {
    const auto at = std::find_if(chain.begin(), chain.end(), [&](const Processor& p) { return p.type == type; });
    return at == chain.end() ? nullptr : &*at;
}

double hz_of(const Processor& cut) { return value_of(cut, *parameter_of(cut, "hz")); }

double FrequencyRuler::x_of(double hz) const {
    return left + (right - left) * std::log(hz / lowest_hz) / std::log(highest_hz / lowest_hz);
}

double FrequencyRuler::hz(double x) const {
    return lowest_hz * std::pow(highest_hz / lowest_hz, (x - left) / (right - left));
}

void FrequencyRuler::paint(QPainter& painter, const QRect& strip) const {
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    // Where there is little room, powers of ten are told first.
    QRegion taken;
    for (const double at : {100.0, 1000.0, 10000.0, 20.0, 20000.0, 500.0, 5000.0, 50.0, 200.0, 2000.0}) {
        const int x = static_cast<int>(x_of(at));
        painter.drawLine(x, strip.bottom() - 4, x, strip.bottom());
        const QString text = at >= 1000.0 ? QString("%1k").arg(at / 1000.0) : QString::number(at);
        const int half = painter.fontMetrics().horizontalAdvance(text) / 2 + 2;
        const QRect box(x - half, strip.top(), 2 * half, strip.height() - 5);
        if (taken.intersects(box)) continue;
        taken += box;
        painter.drawText(box, Qt::AlignHCenter | Qt::AlignBottom, text);
    }
}

void FrequencyRuler::paint_rules(QPainter& painter, const QRect& area) const {
    painter.setPen(theme().scale);
    for (const double at : {100.0, 1000.0, 10000.0}) {
        const int x = static_cast<int>(x_of(at));
        painter.drawLine(x, area.top(), x, area.bottom());
    }
}

QPainterPath spectrum_path(const LongTermSpectrum& spectrum, double gain_db, const FrequencyRuler& ruler,
                           const QRect& area) {
    QPainterPath path;
    for (int b = 0; b < spectrum_bands; ++b) {
        const double db = spectrum.dbfs(b).value_or(-200.0) + gain_db;
        const double y = area.bottom() - (std::clamp(db, -84.0, -12.0) + 84.0) / 72.0 * area.height();
        const QPointF at(ruler.x_of(spectrum_hz(b)), y);
        b == 0 ? path.moveTo(at) : path.lineTo(at);
    }
    return path;
}

QPainterPath response_path(const Chain& chain, double sample_rate, const FrequencyRuler& ruler, double step,
                           const std::function<double(double)>& y_of) {
    std::vector<double> hz;
    for (double x = ruler.left; x <= ruler.right; x += step) hz.push_back(ruler.hz(x));
    const std::vector<double> response = chain_response_db(chain, hz, sample_rate);
    QPainterPath path;
    for (size_t n = 0; n < hz.size(); ++n) {
        const QPointF at(ruler.x_of(hz[n]), y_of(response[n]));
        n == 0 ? path.moveTo(at) : path.lineTo(at);
    }
    return path;
}

double band_value(const Processor& equaliser, int band, const char* what) {
    const std::string name = "band" + std::to_string(band + 1) + "." + what;
    return value_of(equaliser, *parameter_of(equaliser, name));
}

std::optional<ShapedRow> shaped_row(Workspace& work, TrackId id) {
    const Session& session = work.document.session();
    if (const Track* t = session.find(id))
        return ShapedRow{&t->chain,
                         QString::fromStdString(t->name),
                         t->colour_index,
                         t->chain_out || session.chains_out,
                         work.materials.of(*t),
                         t->trim_db,
                         work.materials.shaped(*t)};
    const Bus* b = session.find_bus(id);
    if (!b && id != main_output) return std::nullopt;
    const MaterialPtr after = work.materials.shaped_sum(id);
    // Without a chain it plays what leads to it, the main output with its fader.
    const MaterialPtr before = after ? signal_of(after)->recipe().source.material : work.player.sum_of(id);
    return ShapedRow{session.chain_of(id),
                     b ? QString::fromStdString(b->name) : QCoreApplication::translate("Shape", "main output"),
                     b ? b->colour_index : no_colour,
                     session.is_chain_out(id) || session.chains_out,
                     before,
                     b ? b->trim_db : 0.0,
                     after};
}

}  // namespace isotonus
