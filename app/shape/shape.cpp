#include "app/shape/shape.h"

#include <QCoreApplication>
#include <QDoubleSpinBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>
#include <cstring>

#include "core/shape/response.h"

namespace isotonus {

namespace {

constexpr double lowest_hz = 20.0, highest_hz = 20000.0;
constexpr double level_from_db = -60.0;

QString hz_text(double hz) {
    return hz >= 1000.0 ? QCoreApplication::translate("Shape", "%1 kHz").arg(hz / 1000.0, 0, 'g', 3)
                        : QCoreApplication::translate("Shape", "%1 Hz").arg(std::lround(hz));
}

/// Note names of equal temperament, A4 = 440 Hz (ISO 16).
QString note_text(double hz) {
    static constexpr const char* names[] = {"C", "C#", "D", "D#", "E", "F", "F#", "G", "G#", "A", "A#", "B"};
    const auto note = std::lround(69.0 + 12.0 * std::log2(hz / 440.0));
    return QString("%1%2").arg(names[((note % 12) + 12) % 12]).arg(note / 12 - 1);
}

/// The parts of a lane: frequencies, levels, words.
QRect frequency_area(int width, int height) { return {12, 0, width * 55 / 100, height}; }
QRect level_area(int width, int height) { return {12 + width * 58 / 100, 0, width * 17 / 100, height}; }

const Processor* first_of(const Chain& chain, std::string_view type) {
    const auto at = std::find_if(chain.begin(), chain.end(), [&](const Processor& p) { return p.type == type; });
    return at == chain.end() ? nullptr : &*at;
}

double hz_of(const Processor& cut) { return value_of(cut, *parameter_of(cut, "hz")); }

/// A spectrum as a line: -84 … -12 dB (AES17) of a sixth of an octave from bottom to top.
QPainterPath spectrum_path(const LongTermSpectrum& spectrum, const FrequencyRuler& ruler, const QRect& area) {
    QPainterPath path;
    for (int b = 0; b < spectrum_bands; ++b) {
        const double db = spectrum.dbfs(b).value_or(-200.0);
        const double y = area.bottom() - (std::clamp(db, -84.0, -12.0) + 84.0) / 72.0 * area.height();
        const QPointF at(ruler.place(spectrum_hz(b)), y);
        b == 0 ? path.moveTo(at) : path.lineTo(at);
    }
    return path;
}

std::vector<double> ruler_frequencies(const FrequencyRuler& ruler, double step) {
    std::vector<double> hz;
    for (double x = ruler.left; x <= ruler.right; x += step) hz.push_back(ruler.hz(x));
    return hz;
}

}  // namespace

// --- frequency ruler ------------------------------------------------------------------------------------------------

double FrequencyRuler::place(double hz) const {
    return left + (right - left) * std::log(hz / lowest_hz) / std::log(highest_hz / lowest_hz);
}

double FrequencyRuler::hz(double place) const {
    return lowest_hz * std::pow(highest_hz / lowest_hz, (place - left) / (right - left));
}

void FrequencyRuler::paint(QPainter& painter, const QRect& strip) const {
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    for (const double at : {20.0, 50.0, 100.0, 200.0, 500.0, 1000.0, 2000.0, 5000.0, 10000.0, 20000.0}) {
        const int x = static_cast<int>(place(at));
        painter.drawLine(x, strip.bottom() - 4, x, strip.bottom());
        const QString text = at >= 1000.0 ? QString("%1k").arg(at / 1000.0) : QString::number(at);
        painter.drawText(QRect(x - 20, strip.top(), 40, strip.height() - 5), Qt::AlignHCenter | Qt::AlignBottom, text);
    }
}

void FrequencyRuler::paint_rules(QPainter& painter, const QRect& area) const {
    painter.setPen(theme().rule);
    for (const double at : {100.0, 1000.0, 10000.0}) {
        const int x = static_cast<int>(place(at));
        painter.drawLine(x, area.top(), x, area.bottom());
    }
}

// --- lane -----------------------------------------------------------------------------------------------------------

ShapeLane::ShapeLane(Workspace& work, TrackId id, QWidget* parent) : Lane(work, id, parent) {
    connect(&work_.spectra, &Spectra::ready, this, qOverload<>(&QWidget::update));
    connect(&work_.materials, &Materials::reshaped, this, qOverload<>(&QWidget::update));
}

QString ShapeLane::value_text() const {
    const Processor* cut = track() ? first_of(track()->chain, "low_cut") : nullptr;
    return cut ? hz_text(hz_of(*cut)) : tr("off");
}

QString ShapeLane::sentence() const {
    const Track& t = *track();
    if (t.chain.empty())
        return tr("%1 has no processors. Type a frequency for a low cut, or add one below.").arg(track_name());
    QStringList words;
    for (const Processor& p : t.chain) {
        const ProcessorType* type = processor_type(p.type);
        words << (type ? QString(type->word)
                       : tr("%1 (of a newer version, does nothing)").arg(QString::fromStdString(p.type))) +
                     (p.in ? QString() : tr(" out"));
    }
    QString text = tr("%1: %2").arg(track_name(), words.join(", "));
    if (const MaterialPtr shaped = work_.materials.shaped(t))
        for (size_t n = 0; n < t.chain.size(); ++n)
            if (const auto found = shaped->signal->reduction(n); found && found->most_db >= 0.1)
                text += tr("; %1 takes most %2 dB at %3, %4 dB while it works")
                            .arg(processor_type(t.chain[n].type)->word)
                            .arg(found->most_db, 0, 'f', 1)
                            .arg(time_text(found->most_at_s))
                            .arg(found->typical_db, 0, 'f', 1);
    return text + '.';
}

void ShapeLane::nudge(double by, uint64_t gesture) {
    work_.edits.set_chains(
        work_.document.moved_with(id()), tr("Low cut of %1").arg(track_name()),
        [by](Chain& chain) {
            for (Processor& p : chain)
                if (p.type == "low_cut")
                    p.values["hz"] = std::clamp(hz_of(p) * std::exp2(by / 6.0), lowest_hz, highest_hz);
        },
        gesture);
}

void ShapeLane::type_value(const QString& text) {
    const bool off = text.trimmed().toLower() == tr("off");
    const auto hz =
        value_from_text(*processor_type("low_cut")->find("hz"), text.trimmed().section(' ', 0, 0).toStdString());
    if (!off && !hz) {
        emit work_.view.hint(tr("A low cut lies between 20 Hz and 20 kHz; 'off' takes it away."));
        return;
    }
    work_.edits.set_chains(work_.document.moved_with(id()),
                           tr("Low cut of %1 %2").arg(track_name(), off ? tr("off") : hz_text(*hz)),
                           [off, hz](Chain& chain) {
                               if (off) {
                                   std::erase_if(chain, [](const Processor& p) { return p.type == "low_cut"; });
                                   return;
                               }
                               if (!first_of(chain, "low_cut"))
                                   chain.insert(chain.begin(), new_processor(*processor_type("low_cut"), chain));
                               for (Processor& p : chain)
                                   if (p.type == "low_cut") p.values["hz"] = *hz;
                           });
}

void ShapeLane::reset_value() { type_value(tr("off")); }

double ShapeLane::per_pixel(const QPoint&) const {
    // The blade follows the pointer: octaves of the ruler, in sixths.
    return 6.0 * std::log2(highest_hz / lowest_hz) / frequency_area(width(), height()).width();
}

QRect ShapeLane::word_place(size_t n) const {
    const int left = level_area(width(), height()).right() + 16, each = 62;
    return {left + static_cast<int>(n) * each, 2, each - 4, height() - 5};
}

bool ShapeLane::grab(const QPoint& at) {
    const Chain& chain = track()->chain;
    for (size_t n = 0; n < chain.size(); ++n)
        if (word_place(n).contains(at)) {
            work_.view.shape_place = n;
            work_.edits.take_out_or_in(id(), n);
            return false;
        }
    const Processor* cut = first_of(chain, "low_cut");
    const QRect area = frequency_area(width(), height());
    const FrequencyRuler ruler{static_cast<double>(area.left()), static_cast<double>(area.right())};
    return cut && std::fabs(ruler.place(hz_of(*cut)) - at.x()) < 8.0;
}

void ShapeLane::paint(QPainter& painter, const QRect&) {
    const Track& t = *track();
    const QRect area = frequency_area(width(), height()), levels = level_area(width(), height());
    const FrequencyRuler ruler{static_cast<double>(area.left()), static_cast<double>(area.right())};
    ruler.paint_rules(painter, area.adjusted(0, 0, 0, -1));
    const MaterialPtr file = work_.materials.of(t), shaped = work_.materials.shaped(t);
    painter.setRenderHint(QPainter::Antialiasing);
    const QRect inner = area.adjusted(0, 3, 0, -4);
    if (const LongTermSpectrum* before = file ? work_.spectra.of(file) : nullptr) {
        painter.setPen(QPen(shaped ? theme().faint : theme().track_ink(t.ink), 1.0));
        painter.drawPath(spectrum_path(*before, ruler, inner));
    }
    if (const LongTermSpectrum* after = shaped ? work_.spectra.of(shaped) : nullptr) {
        painter.setPen(QPen(theme().track_ink(t.ink), 1.6));
        painter.drawPath(spectrum_path(*after, ruler, inner));
    }
    painter.setRenderHint(QPainter::Antialiasing, false);
    if (const Processor* cut = first_of(t.chain, "low_cut")) {
        const int x = static_cast<int>(ruler.place(hz_of(*cut)));
        painter.fillRect(QRect(QPoint(area.left(), 2), QPoint(x, height() - 4)),
                         QBrush(theme().rule, Qt::BDiagPattern));
        painter.fillRect(x - 1, 2, 3, height() - 6, cut->in ? theme().accent : theme().faint);
        painter.setPen(theme().ink);
        painter.setFont(lettering(11));
        painter.drawText(QRect(x + 5, 0, 80, height() - 2), Qt::AlignVCenter, hz_text(hz_of(*cut)));
    }
    // Levels before (hollow) and after (solid), and what is taken away over the song hanging from above.
    const auto x_of = [&](double db) {
        return levels.left() +
               static_cast<int>((std::clamp(db, level_from_db, 0.0) - level_from_db) / -level_from_db * levels.width());
    };
    painter.setPen(theme().rule);
    for (const double db : {-48.0, -36.0, -24.0, -12.0, 0.0}) painter.drawLine(x_of(db), 0, x_of(db), height() - 2);
    const auto mark = [&](const Measurement& m, double trim_db, bool solid) {
        if (!m.average_dbfs) return;
        const int x = x_of(*m.average_dbfs + trim_db);
        painter.setPen(theme().ink);
        if (solid)
            painter.fillRect(x - 2, y(15), 5, y(14), theme().track_ink(t.ink));
        else
            painter.drawRect(x - 2, y(15), 4, y(14) - 1);
    };
    if (file) mark(file->measurement, t.trim_db, !shaped);
    if (shaped) mark(shaped->measurement, 0.0, true);
    for (size_t n = 0; n < t.chain.size(); ++n) {
        const Processor& p = t.chain[n];
        if (const ParameterInfo* threshold = parameter_of(p, "threshold_dbfs"); threshold && p.in && p.key == 0)
            painter.fillRect(x_of(value_of(p, *threshold)), y(11), 2, y(22), theme().accent);
        if (!shaped) continue;
        const std::vector<float>& reduction = shaped->signal->reductions(n);
        for (int x = 0; x < levels.width() && !reduction.empty(); ++x) {
            const auto from = reduction.size() * static_cast<size_t>(x) / static_cast<size_t>(levels.width());
            const auto to =
                std::max(from + 1, reduction.size() * static_cast<size_t>(x + 1) / static_cast<size_t>(levels.width()));
            float deepest = 0.0f;
            for (size_t i = from; i < std::min(to, reduction.size()); ++i) deepest = std::min(deepest, reduction[i]);
            painter.fillRect(levels.left() + x, 0, 1, std::min(y(10), static_cast<int>(-deepest * 0.8f)),
                             theme().above);
        }
    }
    painter.setFont(lettering(12));
    for (size_t n = 0; n < t.chain.size(); ++n) {
        const Processor& p = t.chain[n];
        const ProcessorType* type = processor_type(p.type);
        const QRect place = word_place(n);
        if (place.right() > width()) break;
        const bool in = p.in && type && !t.chain_out && !work_.document.session().chains_out;
        painter.setPen(in ? theme().ink : theme().faint);
        painter.drawText(place, Qt::AlignCenter, type ? QString(type->word) : QString("?"));
        if (!in) painter.drawLine(place.left() + 4, place.center().y() + 1, place.right() - 4, place.center().y() + 1);
    }
}

namespace {

/// A parameter's name without its unit, which stands in the field.
QString label_of(const ParameterInfo& info) {
    QString name(info.id);
    for (const char* unit : {"_dbfs", "_db", "_ms", "_hz"})
        if (name.endsWith(unit)) name.chop(static_cast<int>(std::strlen(unit)));
    return name == "hz" ? QCoreApplication::translate("Shape", "frequency") : name.replace('_', ' ').replace('.', ' ');
}

}  // namespace

// --- picture --------------------------------------------------------------------------------------------------------

ShapePicture::ShapePicture(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("shapePicture");
    setAccessibleName(tr("Frequencies of the chosen row"));
    setMouseTracking(true);
    setMinimumWidth(360);
    const auto redraw = qOverload<>(&QWidget::update);
    connect(&work_.spectra, &Spectra::ready, this, redraw);
    connect(&work_.materials, &Materials::reshaped, this, redraw);
    connect(&work_.document, &Document::session_changed, this, redraw);
    connect(&work_.document, &Document::selection_changed, this, redraw);
}

double ShapePicture::y_of(double db) const { return canvas().center().y() - db / 24.0 * canvas().height() / 2.0; }
double ShapePicture::db_of(double y) const { return (canvas().center().y() - y) * 2.0 / canvas().height() * 24.0; }

namespace {

const Processor* equaliser_of(const Track* t) { return t ? first_of(t->chain, "equaliser") : nullptr; }

double band_value(const Processor& p, int band, const char* what) {
    const std::string name = "band" + std::to_string(band + 1) + "." + what;
    return value_of(p, *parameter_of(p, name));
}

}  // namespace

int ShapePicture::band_at(const QPoint& at) const {
    const Processor* eq = equaliser_of(work_.document.track(work_.document.focused()));
    if (!eq) return -1;
    for (int b = 0; b < 8; ++b)
        if (band_value(*eq, b, "in") >= 0.5 && std::hypot(ruler().place(band_value(*eq, b, "hz")) - at.x(),
                                                          y_of(band_value(*eq, b, "db")) - at.y()) < 12.0)
            return b;
    return -1;
}

void ShapePicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    const QRect c = canvas();
    const FrequencyRuler freq = ruler();
    painter.setFont(lettering(11));
    painter.setPen(theme().rule);
    for (const double db : {-24.0, -12.0, 0.0, 12.0, 24.0}) {
        painter.setPen(theme().rule);
        painter.drawLine(c.left(), static_cast<int>(y_of(db)), c.right(), static_cast<int>(y_of(db)));
        painter.setPen(theme().faint);
        painter.drawText(QRect(0, static_cast<int>(y_of(db)) - 8, 30, 16), Qt::AlignRight | Qt::AlignVCenter,
                         QString(db > 0 ? "+%1" : "%1").arg(db).replace('-', QChar(0x2212)));
    }
    freq.paint_rules(painter, c);
    freq.paint(painter, QRect(0, c.bottom() + 2, width(), 22));
    const Track* t = work_.document.track(work_.document.focused());
    if (!t) return;
    painter.setRenderHint(QPainter::Antialiasing);
    const MaterialPtr file = work_.materials.of(*t), shaped = work_.materials.shaped(*t);
    if (const LongTermSpectrum* before = file ? work_.spectra.of(file) : nullptr) {
        painter.setPen(QPen(theme().faint, 1.0));
        painter.drawPath(spectrum_path(*before, freq, c));
    }
    if (const LongTermSpectrum* after = shaped ? work_.spectra.of(shaped) : nullptr) {
        painter.setPen(QPen(theme().track_ink(t->ink), 1.8));
        painter.drawPath(spectrum_path(*after, freq, c));
    }
    const auto hz = ruler_frequencies(freq, 2.0);
    const auto response = chain_response_db(t->chain, hz, work_.document.session().sample_rate);
    QPainterPath line;
    for (size_t n = 0; n < hz.size(); ++n) {
        const QPointF at(freq.place(hz[n]),
                         std::clamp(y_of(response[n]), static_cast<double>(c.top()), static_cast<double>(c.bottom())));
        n == 0 ? line.moveTo(at) : line.lineTo(at);
    }
    painter.setPen(QPen(theme().ink, 1.5));
    painter.drawPath(line);
    painter.setRenderHint(QPainter::Antialiasing, false);
    if (const Processor* eq = equaliser_of(t))
        for (int b = 0; b < 8; ++b) {
            if (band_value(*eq, b, "in") < 0.5) continue;
            // A bracket as wide as the band works, with a blade at its middle.
            const double at_hz = band_value(*eq, b, "hz"), q = band_value(*eq, b, "q");
            const double half = std::exp(std::asinh(0.5 / q));
            const int x = static_cast<int>(freq.place(at_hz)), y = static_cast<int>(y_of(band_value(*eq, b, "db")));
            const int from = static_cast<int>(freq.place(std::max(lowest_hz, at_hz / half)));
            const int to = static_cast<int>(freq.place(std::min(highest_hz, at_hz * half)));
            painter.setPen(QPen(theme().accent, 1.5));
            painter.drawLine(from, y, to, y);
            painter.drawLine(from, y - 4, from, y + 4);
            painter.drawLine(to, y - 4, to, y + 4);
            painter.fillRect(x - 2, y - 9, 4, 18, theme().accent);
        }
    if (!c.contains(pointer_)) return;
    const double pointed = freq.hz(pointer_.x());
    painter.setPen(theme().ink);
    painter.setFont(lettering(12));
    painter.drawText(c.adjusted(6, 4, -6, 0), Qt::AlignRight | Qt::AlignTop,
                     hz_text(pointed) + "  " + note_text(pointed));
}

void ShapePicture::mousePressEvent(QMouseEvent* event) {
    gesture_ = work_.document.new_gesture();
    band_ = band_at(event->pos());
}

void ShapePicture::mouseMoveEvent(QMouseEvent* event) {
    pointer_ = event->pos();
    update();
    if (band_ < 0 || !(event->buttons() & Qt::LeftButton)) return;
    const double hz = std::clamp(ruler().hz(event->pos().x()), lowest_hz, highest_hz);
    const double db = std::clamp(db_of(event->pos().y()), -24.0, 24.0);
    const std::string name = "band" + std::to_string(band_ + 1);
    work_.edits.set_chains(
        {work_.document.focused()}, tr("Band %1 to %2, %3").arg(band_ + 1).arg(hz_text(hz), db_text(db, "dB", true)),
        [&](Chain& chain) {
            for (Processor& p : chain)
                if (p.type == "equaliser") p.values[name + ".hz"] = hz, p.values[name + ".db"] = db;
        },
        gesture_);
}

void ShapePicture::mouseDoubleClickEvent(QMouseEvent* event) {
    // On a band: away with it.  Elsewhere: a new one there.
    const int band = band_at(event->pos());
    const double hz = std::clamp(ruler().hz(event->pos().x()), lowest_hz, highest_hz);
    const double db = std::clamp(db_of(event->pos().y()), -24.0, 24.0);
    work_.edits.set_chains({work_.document.focused()},
                           band >= 0 ? tr("Band %1 away").arg(band + 1) : tr("New band at %1").arg(hz_text(hz)),
                           [&](Chain& chain) {
                               if (!first_of(chain, "equaliser"))
                                   chain.push_back(new_processor(*processor_type("equaliser"), chain));
                               for (Processor& p : chain) {
                                   if (p.type != "equaliser") continue;
                                   int at = band;
                                   for (int b = 0; b < 8 && at < 0; ++b)
                                       if (band_value(p, b, "in") < 0.5) at = b;
                                   if (at < 0) return;
                                   const std::string name = "band" + std::to_string(at + 1);
                                   p.values[name + ".in"] = band >= 0 ? 0.0 : 1.0;
                                   if (band < 0) p.values[name + ".hz"] = hz, p.values[name + ".db"] = db;
                               }
                           });
}

void ShapePicture::leaveEvent(QEvent*) {
    pointer_ = {-1, -1};
    update();
}

// --- panel ----------------------------------------------------------------------------------------------------------

ShapePanel::ShapePanel(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("shapePanel");
    setFixedHeight(272);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(12, 10, 12, 8);
    row->setSpacing(12);
    auto* column = new QVBoxLayout;
    column->setSpacing(6);
    list_ = new QListWidget;
    list_->setObjectName("chainList");
    list_->setAccessibleName(tr("Processors of the chosen row, in order"));
    list_->setFixedWidth(216);
    column->addWidget(list_, 1);
    auto* buttons = new QHBoxLayout;
    buttons->setSpacing(4);
    const auto button = [&](const char* name, const QString& text, const QString& tip) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setToolTip(tip);
        b->setStyleSheet("padding: 0 4px;");
        buttons->addWidget(b);
        return b;
    };
    auto* add = button("chainAdd", tr("Add"), tr("A processor at the end of the chain."));
    auto* types = new QMenu(add);
    for (const ProcessorType* type : processor_types()) {
        QAction* action = types->addAction(QString(type->word));
        action->setObjectName(QString("add_") + type->id);
        connect(action, &QAction::triggered, this, [this, type] {
            work_.edits.set_chains(work_.document.selected(), tr("Add %1").arg(type->word),
                                   [type](Chain& chain) { chain.push_back(new_processor(*type, chain)); });
            if (list_->count() > 0) list_->setCurrentRow(list_->count() - 1);
        });
    }
    add->setMenu(types);
    in_ = button("chainIn", tr("In/out"), tr("The chosen processor in or out, at one loudness. (F7)"));
    remove_ = button("chainRemove", tr("Remove"), tr("The chosen processor, and its rides."));
    up_ = button("chainUp", QString(QChar(0x2191)), tr("Earlier in the chain."));
    down_ = button("chainDown", QString(QChar(0x2193)), tr("Later in the chain."));
    up_->setAccessibleName(tr("Earlier"));
    down_->setAccessibleName(tr("Later"));
    column->addLayout(buttons);
    row->addLayout(column);
    picture_ = new ShapePicture(work_, this);
    row->addWidget(picture_, 1);
    scroll_ = new QScrollArea;
    scroll_->setObjectName("shapeForm");
    scroll_->setWidgetResizable(true);
    scroll_->setFrameShape(QFrame::NoFrame);
    scroll_->setFixedWidth(300);
    row->addWidget(scroll_);
    connect(in_, &QPushButton::clicked, this, [this] { work_.edits.take_out_or_in(row_, place()); });
    connect(remove_, &QPushButton::clicked, this, [this] {
        work_.edits.set_chains({row_}, tr("Remove a processor"), [at = place()](Chain& chain) {
            if (at < chain.size()) chain.erase(chain.begin() + static_cast<std::ptrdiff_t>(at));
        });
    });
    connect(up_, &QPushButton::clicked, this, [this] { move(-1); });
    connect(down_, &QPushButton::clicked, this, [this] { move(1); });
    connect(list_, &QListWidget::currentRowChanged, this, [this](int at) {
        if (at >= 0) work_.view.shape_place = static_cast<size_t>(at);
        fill_form();
    });
    connect(&work_.document, &Document::session_changed, this, &ShapePanel::follow);
    connect(&work_.document, &Document::selection_changed, this, &ShapePanel::follow);
    follow();
}

size_t ShapePanel::place() const {
    return list_->currentRow() < 0 ? shown_.size() : static_cast<size_t>(list_->currentRow());
}

void ShapePanel::move(int by) {
    const size_t from = place();
    const auto to = static_cast<std::ptrdiff_t>(from) + by;
    if (from >= shown_.size() || to < 0 || to >= std::ssize(shown_)) return;
    work_.view.shape_place = static_cast<size_t>(to);
    work_.edits.set_chains({row_}, tr("Move a processor"),
                           [from, to](Chain& chain) { std::swap(chain[from], chain[static_cast<size_t>(to)]); });
}

void ShapePanel::follow() {
    const Track* t = work_.document.track(work_.document.focused());
    const Chain chain = t ? t->chain : Chain{};
    const bool same_list =
        row_ == work_.document.focused() && shown_.size() == chain.size() &&
        std::equal(shown_.begin(), shown_.end(), chain.begin(),
                   [](const Processor& a, const Processor& b) { return a.id == b.id && a.in == b.in; });
    row_ = work_.document.focused();
    shown_ = chain;
    if (!same_list) {
        const QSignalBlocker quiet(list_);
        list_->clear();
        for (size_t n = 0; n < chain.size(); ++n) {
            const ProcessorType* type = processor_type(chain[n].type);
            list_->addItem(
                tr("%1 %2%3").arg(n + 1).arg(type ? QString(type->word) : QString::fromStdString(chain[n].type),
                                             chain[n].in ? QString() : tr(" (out)")));
        }
        if (!chain.empty()) list_->setCurrentRow(static_cast<int>(std::min(work_.view.shape_place, chain.size() - 1)));
    }
    for (QPushButton* b : {in_, remove_, up_, down_}) b->setEnabled(!chain.empty());
    fill_form();
}

void ShapePanel::fill_form() {
    // A field that is being typed into is left alone: what it says is what was just set.
    QWidget* const focused = scroll_->focusWidget();
    if (filling_ || (focused && focused->hasFocus() && scroll_->isAncestorOf(focused))) return;
    auto* form = new QWidget;
    auto* layout = new QFormLayout(form);
    layout->setContentsMargins(0, 0, 6, 0);
    layout->setVerticalSpacing(4);
    scroll_->setWidget(form);
    const size_t at = place();
    if (at >= shown_.size()) {
        layout->addRow(new QLabel(
            tr("No processor is chosen. Add one, or double click the\npicture for a band of the equaliser.")));
        return;
    }
    const Processor& p = shown_[at];
    const ProcessorType* type = processor_type(p.type);
    if (!type) {
        layout->addRow(new QLabel(tr("A newer version made this. It is kept, and does nothing here.")));
        return;
    }
    if (type->keyed) add_key(p);
    for (const ParameterInfo& info : type->parameters) add_parameter(p, info);
    for (const ParameterInfo& info : common_parameters().subspan(1)) add_parameter(p, info);
}

void ShapePanel::add_key(const Processor& processor) {
    auto* box = new QComboBox;
    box->setObjectName("key");
    box->addItem(tr("itself"), QVariant::fromValue<qulonglong>(0));
    for (const auto& t : work_.document.session().tracks)
        if (t->id != row_) box->addItem(QString::fromStdString(t->name), QVariant::fromValue<qulonglong>(t->id));
    box->setCurrentIndex(std::max(0, box->findData(QVariant::fromValue<qulonglong>(processor.key))));
    box->setToolTip(tr("The row whose level this one listens to, before its fader."));
    connect(box, &QComboBox::activated, this, [this, box, id = processor.id] {
        work_.edits.set_chains({row_}, tr("Listen to %1").arg(box->currentText()), [&](Chain& chain) {
            for (Processor& p : chain)
                if (p.id == id) p.key = box->currentData().toULongLong();
        });
    });
    static_cast<QFormLayout*>(scroll_->widget()->layout())->addRow(tr("listens to"), box);
}

void ShapePanel::add_parameter(const Processor& processor, const ParameterInfo& info) {
    auto* layout = static_cast<QFormLayout*>(scroll_->widget()->layout());
    const QString name = label_of(info);
    const auto set = [this, id = processor.id, &info](double value) {
        work_.edits.set_own_value(row_, Parameter(info, id), value, 0);
    };
    if (!info.words.empty()) {
        auto* box = new QComboBox;
        for (const char* word : info.words) box->addItem(QString(word).replace('_', ' '));
        box->setCurrentIndex(static_cast<int>(value_of(processor, info)));
        box->setObjectName(info.id);
        connect(box, &QComboBox::activated, this, [set](int n) { set(n); });
        layout->addRow(name, box);
        return;
    }
    auto* field = new QDoubleSpinBox;
    field->setObjectName(info.id);
    field->setRange(info.low, info.high);
    field->setDecimals(info.high >= 1000.0 ? 0 : info.high > 50.0 ? 1 : 2);
    field->setSuffix(*info.unit ? QString(" ") + info.unit : QString());
    field->setStepType(info.law == Law::log ? QAbstractSpinBox::AdaptiveDecimalStepType
                                            : QAbstractSpinBox::DefaultStepType);
    field->setSingleStep(info.law == Law::log ? 1.0 : std::max(0.1, (info.high - info.low) / 100.0));
    field->setValue(value_of(processor, info));
    field->setButtonSymbols(QAbstractSpinBox::NoButtons);
    field->setKeyboardTracking(false);
    connect(field, &QDoubleSpinBox::valueChanged, this, [set](double value) { set(value); });
    layout->addRow(name, field);
}

void ShapePanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().panel);
    painter.setPen(theme().faint);
    painter.drawLine(0, 0, width(), 0);
}

// --- station --------------------------------------------------------------------------------------------------------

QString ShapeStation::title() const { return QCoreApplication::translate("Station", "Shape"); }

QString ShapeStation::state(const Workspace& work) const {
    const Session& session = work.document.session();
    const auto n = std::count_if(session.tracks.begin(), session.tracks.end(),
                                 [&](const auto& t) { return is_shaped(session, *t); });
    if (session.chains_out) return QCoreApplication::translate("Station", "all out");
    return n > 0 ? QCoreApplication::translate("Station", "%n row(s)", nullptr, static_cast<int>(n)) : QString();
}

void ShapeStation::paint_ruler(QPainter& painter, const QRect& area, const Workspace&) const {
    const QRect frequencies = frequency_area(area.width(), area.height()),
                levels = level_area(area.width(), area.height());
    FrequencyRuler{static_cast<double>(frequencies.left()), static_cast<double>(frequencies.right())}.paint(painter,
                                                                                                            area);
    painter.setPen(theme().faint);
    for (const int db : {-48, -24, 0})
        painter.drawText(QRect(levels.left() + (db + 60) * levels.width() / 60 - 20, area.top(), 40, area.height() - 5),
                         Qt::AlignHCenter | Qt::AlignBottom, QString::number(db).replace('-', QChar(0x2212)));
    painter.drawText(QRect(levels.right() + 16, area.top(), 200, area.height() - 5), Qt::AlignLeft | Qt::AlignBottom,
                     QCoreApplication::translate("Station", "chain; a click takes out or in"));
}

}  // namespace isotonus
