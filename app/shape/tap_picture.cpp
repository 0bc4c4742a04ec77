#include "app/shape/tap_picture.h"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "app/style/text.h"
#include "app/style/theme.h"
#include "core/shape/delay.h"

namespace isotonus {

TapPicture::TapPicture(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("tapPicture");
    setMouseTracking(true);
    connect(&work_.document, &Document::session_changed, this, qOverload<>(&QWidget::update));
    connect(&work_.view.shape, &ShapeView::row_changed, this, qOverload<>(&QWidget::update));
}

QString TapPicture::spoken_value() const {
    const Processor* p = delay();
    return p ? tr("%n repeat(s)", nullptr, static_cast<int>(repeats_of(*p).size())) : QString();
}

const Processor* TapPicture::delay() const {
    const Chain* chain = work_.writing.chain_now(work_.view.shape.row());
    const size_t at = work_.view.shape.position;
    return chain && at < chain->size() && (*chain)[at].type == delay_type().id ? &(*chain)[at] : nullptr;
}

double TapPicture::shown_s() const {
    const Processor* p = delay();
    const std::vector<Repeat> repeats = p ? repeats_of(*p) : std::vector<Repeat>();
    return std::clamp(repeats.empty() ? 1.0 : repeats.back().time_s * 1.08, 0.25, 6.0);
}

void TapPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    const Processor* p = delay();
    if (!p) return;
    const QRect c = canvas();
    const double until_s = shown_s();
    const int middle = c.center().y();
    const auto x_of = [&](double s) { return c.left() + static_cast<int>(std::lround(s / until_s * c.width())); };
    painter.setFont(lettering(11));
    const auto& tempo = work_.document.session().tempo;
    const double beat_s = tempo.empty() ? 0.0 : 60.0 / mark_at(tempo, work_.player.position_s()).quarters_a_minute;
    if (beat_s > 0.0) {
        for (int n = 0; n * beat_s / 4.0 < until_s; ++n) {
            const int x = x_of(n * beat_s / 4.0);
            const bool whole = n % 4 == 0;
            painter.setPen(whole ? theme().faint : theme().scale);
            painter.drawLine(x, whole ? c.top() : middle - 6, x, whole ? c.bottom() : middle + 6);
            if (whole) painter.drawText(QRect(x - 30, c.bottom() + 4, 60, 16), Qt::AlignCenter, QString::number(n / 4));
        }
    } else {
        for (int n = 0; n * 0.25 < until_s; ++n) {
            const int x = x_of(n * 0.25);
            painter.setPen(theme().scale);
            painter.drawLine(x, c.top(), x, c.bottom());
            painter.setPen(theme().faint);
            painter.drawText(QRect(x - 30, c.bottom() + 4, 60, 16), Qt::AlignCenter,
                             tr("%1 s").arg(shown_figure(n * 0.25, 2)));
        }
    }
    painter.setPen(theme().text);
    painter.drawLine(c.left(), middle, c.right(), middle);
    painter.setPen(theme().faint);
    painter.drawText(QRect(0, c.top(), 30, 16), Qt::AlignRight, tr("left"));
    painter.drawText(QRect(0, c.bottom() - 16, 30, 16), Qt::AlignRight, tr("right"));
    painter.drawText(c.adjusted(6, 2, -4, 0), Qt::AlignRight | Qt::AlignTop,
                     beat_s > 0.0 ? tr("quarters at %1 a minute").arg(shown_figure(60.0 / beat_s, 1))
                                  : tr("the song has no tempo yet: seconds"));
    // A repeat is as high as it is loud, 48 dB from the edge to the line.
    const auto height_of = [&](double gain) {
        return static_cast<int>(
            std::lround(std::clamp(1.0 + db_from_gain(gain) / 48.0, 0.0, 1.0) * (c.height() / 2 - 18)));
    };
    const QRect dry(x_of(0.0) - 1, middle - height_of(1.0), 3, 2 * height_of(1.0));
    painter.setPen(theme().faint);
    painter.drawRect(dry);
    for (const Repeat& r : repeats_of(*p)) {
        const int x = x_of(r.time_s);
        if (r.left > 0.0) painter.fillRect(x - 2, middle - height_of(r.left), 4, height_of(r.left), theme().accent);
        if (r.right > 0.0) painter.fillRect(x - 2, middle + 1, 4, height_of(r.right), theme().accent);
    }
}

void TapPicture::mouseMoveEvent(QMouseEvent* event) {
    const Processor* p = delay();
    if (!p) return;
    const double s = (event->position().x() - canvas().left()) / canvas().width() * shown_s();
    const std::vector<Repeat> repeats = repeats_of(*p);
    if (repeats.empty()) return;
    const auto near = std::min_element(repeats.begin(), repeats.end(), [s](const Repeat& a, const Repeat& b) {
        return std::fabs(a.time_s - s) < std::fabs(b.time_s - s);
    });
    const double most = std::max(near->left, near->right);
    emit work_.view.hint(tr("Repeat %1 after %2 ms, %3")
                             .arg(near - repeats.begin() + 1)
                             .arg(near->time_s * 1000.0, 0, 'f', 0)
                             .arg(db_text(db_from_gain(most), "dB", true)));
}

void TapPicture::leaveEvent(QEvent*) { emit work_.view.hint({}); }

}  // namespace isotonus
