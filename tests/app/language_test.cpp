// Other languages: translations that are complete and keep what is put into them, a window in German, and texts a third
// longer than the English ones, none of which may be cut.
#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QTranslator>
#include <QXmlStreamReader>

#include "app/shape/frequency.h"
#include "app/style/figure_box.h"
#include "app/window/station_tabs.h"
#include "core/audio/sound_file.h"
#include "core/files/pending_file.h"
#include "core/foreign/plugins.h"
#include "core/session/session_file.h"
#include "core/shape/parameter_label.h"
#include "core/shape/processor.h"
#include "core/words.h"
#include "tests/app/dialogs.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

struct Message {
    QString source;
    QStringList translations;  ///< more than one where the plural differs
};

std::vector<Message> german() {
    QFile file(QString(ISOTONUS_SOURCE) + "/app/data/translations/isotonus_de.ts");
    EXPECT_TRUE(file.open(QIODevice::ReadOnly));
    QXmlStreamReader xml(&file);
    std::vector<Message> all;
    bool counted = false;
    while (!xml.atEnd()) {
        xml.readNext();
        if (!xml.isStartElement()) continue;
        if (xml.name() == u"message") {
            all.emplace_back();
            counted = xml.attributes().value("numerus") == u"yes";
        }
        if (xml.name() == u"source") all.back().source = xml.readElementText();
        if (xml.name() == u"numerusform") all.back().translations << xml.readElementText();
        if (xml.name() == u"translation" && !counted) all.back().translations << xml.readElementText();
    }
    EXPECT_FALSE(xml.hasError()) << xml.errorString().toStdString();
    return all;
}

/// What is put into a text: %1, %n, {:.1f}, {part}.
QStringList places(const QString& text) {
    static const QRegularExpression place("%[n0-9]|\\{[^}]*\\}");
    QStringList found;
    for (auto at = place.globalMatch(text); at.hasNext();) found << at.next().captured();
    return found;
}

/// Texts a third longer, with letters that reach high and low.
class Longer : public QTranslator {
  public:
    bool isEmpty() const override { return false; }
    QString translate(const char*, const char* text, const char*, int) const override {
        QString longer(text);
        if (longer.contains(";;") || longer.startsWith("QLabel")) return {};
        static const QString more = QString::fromUtf8("Äg öß Üj äß ");
        for (qsizetype wanted = longer.size() + (longer.size() + 2) / 3; longer.size() < wanted;)
            longer += more[longer.size() % more.size()];
        return longer.trimmed().replace("(s)", "en");
    }
};

/// Buttons, labels and boxes of a window whose text has not the room it needs.
QStringList cut_in(const QWidget& window) {
    QStringList cut;
    const auto tell = [&](const QWidget& w, const QString& text) {
        cut << QString("%1 (%2): '%3' has %4 px").arg(w.objectName(), w.metaObject()->className(), text).arg(w.width());
    };
    for (const auto* b : window.findChildren<QAbstractButton*>()) {
        if (!b->isVisible() || b->text().isEmpty() || b->text().size() == 1) continue;
        const int edges = qobject_cast<const QToolButton*>(b) ? 3 : 6;  // as little as any of them has
        if (b->fontMetrics().size(Qt::TextShowMnemonic, b->text()).width() + edges > b->width()) tell(*b, b->text());
    }
    for (const auto* l : window.findChildren<QLabel*>()) {
        if (!l->isVisible() || l->text().isEmpty() || l->textFormat() == Qt::RichText) continue;
        const QFontMetrics metrics = l->fontMetrics();
        if (l->wordWrap() ? l->heightForWidth(l->width()) > l->height() + 2
                          : metrics.size(0, l->text()).width() > l->width() + 1 &&
                                l->sizePolicy().horizontalPolicy() != QSizePolicy::Ignored)
            tell(*l, l->text());
    }
    for (const auto* c : window.findChildren<QComboBox*>())
        if (c->isVisible() && !c->currentText().isEmpty() &&
            c->fontMetrics().horizontalAdvance(c->currentText()) > c->width() - 16)
            tell(*c, c->currentText());
    return cut;
}

/// What is too wide for its place: scrolled to, or not to be reached at all.
QStringList too_wide_in(const QWidget& window, bool may_scroll) {
    QStringList wide;
    for (const auto* area : window.findChildren<QScrollArea*>())
        if (area->isVisible() && area->widget() && area->widget()->width() > area->viewport()->width() &&
            !(may_scroll && area->horizontalScrollBarPolicy() != Qt::ScrollBarAlwaysOff))
            wide << QString("%1: %2 of %3 px")
                        .arg(area->widget()->objectName())
                        .arg(area->viewport()->width())
                        .arg(area->widget()->width());
    return wide;
}

/// Remembers where texts were painted, and how much room they had.
class Painted : public QPaintEngine {
  public:
    Painted() : QPaintEngine(AllFeatures) {}
    bool begin(QPaintDevice*) override { return true; }
    bool end() override { return true; }
    void updateState(const QPaintEngineState& state) override {
        if (state.state() & DirtyTransform) transform_ = state.transform();
    }
    void drawPixmap(const QRectF&, const QPixmap&, const QRectF&) override {}
    void drawPath(const QPainterPath&) override {}
    void drawPolygon(const QPointF*, int, PolygonDrawMode) override {}
    void drawTextItem(const QPointF& at, const QTextItem& item) override {
        const QPointF from = transform_.map(at), to = transform_.map(at + QPointF(item.width(), 0));
        texts.push_back({item.text(), from.x(), to.x(), from.y()});
    }
    Type type() const override { return User; }
    struct Text {
        QString text;
        double from, to, baseline;
    };
    std::vector<Text> texts;

  private:
    QTransform transform_;
};

class PaintedOn : public QPaintDevice {
  public:
    explicit PaintedOn(QSize size) : size_(size) {}
    QPaintEngine* paintEngine() const override { return &engine; }
    mutable Painted engine;

  protected:
    int metric(PaintDeviceMetric what) const override {
        switch (what) {
            case PdmWidth:
                return size_.width();
            case PdmHeight:
                return size_.height();
            case PdmDevicePixelRatio:
                return 1;
            case PdmDevicePixelRatioScaled:
                return static_cast<int>(devicePixelRatioFScale());
            case PdmDepth:
                return 32;
            default:
                return 96;
        }
    }

  private:
    QSize size_;
};

/// What widgets paint themselves that ends in an ellipsis or beyond their edge.
QStringList cut_paintings_in(const QWidget& window) {
    QStringList cut, whole;  // what ends in an ellipsis of its own
    for (const Message& m : german()) whole += m.translations, whole << m.source;
    for (auto* w : window.findChildren<QWidget*>()) {
        if (!w->isVisible() || w->width() < 2 || w->height() < 2) continue;
        // Sentences of the last column may end early: the tooltip of the cell and the label beside the table say all.
        if (w->parentWidget() && w->parentWidget()->objectName() == "firstTable") continue;
        PaintedOn device(w->size());
        w->render(&device, {}, {}, QWidget::RenderFlags());
        const auto tell = [&](const QString& what) {
            cut << QString("%1 (%2): %3").arg(w->objectName(), w->metaObject()->className(), what);
        };
        const auto* button = qobject_cast<QAbstractButton*>(w);  // its text is looked at above
        for (const Painted::Text& t : device.engine.texts) {
            if ((t.text.endsWith(QChar(0x2026)) && !button && !whole.contains(t.text)) || t.to > w->width() + 1 ||
                t.from < -1)
                tell(QString("'%1' from %2 to %3 of %4").arg(t.text).arg(t.from).arg(t.to).arg(w->width()));
            for (const Painted::Text& other : device.engine.texts)
                if (&other > &t && std::fabs(other.baseline - t.baseline) < 6.0 && other.to > t.from + 2 &&
                    t.to > other.from + 2)
                    tell(QString("'%1' lies over '%2'").arg(t.text, other.text));
        }
    }
    return cut;
}

class Language : public Window {
  protected:
    void TearDown() override {
        window.reset();
        speak("en");
    }
    void look_at_all_stations(bool may_scroll = true) {
        for (int n = 0; n < 7; ++n) {
            station(n);
            if (n == 0) work().view.show_panel(true);
            if (n == 2 && work().first.rows().empty()) {
                work().first.draft(DraftStrength::all, false);
                wait_for([&] { return !work().first.rows().empty(); });
            }
            for (int page = 0; page < (n == 2 || n == 5 ? 7 : 1); ++page) {
                if (n == 2) work().view.balance.show_page(static_cast<BalanceView::Page>(page));
                if (n == 5) work().view.compare.show_page(static_cast<CompareView::Page>(page));
                catch_up();
                const QStringList cut = cut_in(*window) + cut_paintings_in(*window) + too_wide_in(*window, may_scroll);
                EXPECT_TRUE(cut.isEmpty()) << "station " << n + 1 << ", page " << page << "\n"
                                           << cut.join('\n').toStdString();
            }
        }
    }
};

}  // namespace

TEST(Translations, keep_what_is_put_into_them) {
    const auto all = german();
    EXPECT_GT(all.size(), 2000u);
    for (const Message& m : all) {
        ASSERT_FALSE(m.translations.isEmpty()) << m.source.toStdString();
        for (const QString& t : m.translations) {
            QStringList wanted = places(m.source), there = places(t);
            if (!m.source.contains('{')) {  // numbered places may change theirs
                wanted.sort(), there.sort();
                wanted.removeDuplicates(), there.removeDuplicates();
            }
            EXPECT_EQ(wanted, there) << m.source.toStdString() << "\n" << t.toStdString();
            EXPECT_EQ(m.source.startsWith(' '), t.startsWith(' ')) << m.source.toStdString();
        }
    }
}

TEST(Translations, know_every_label_of_every_processor) {
    std::set<std::string> known;
    for (const char* word : label_words()) known.insert(word);
    const auto is_number = [](const std::string& word) { return std::isdigit(word[0]) || word.size() < 2; };
    for (const ProcessorType* type : processor_types()) {
        EXPECT_TRUE(known.contains(type->word) || word_of(type->id) == "EQ") << type->word;
        for (const ParameterInfo& p : type->parameters) {
            if (std::string_view(p.id).starts_with("band")) continue;  // drawn, not labelled
            EXPECT_TRUE(known.contains(label_of(p)) || is_number(label_of(p))) << type->id << ": " << label_of(p);
            for (const std::string word : p.words)
                EXPECT_TRUE(known.contains(label_of_id(word)) || is_number(word) || word == "tanh" || word == "rms")
                    << word;
        }
    }
}

TEST_F(Language, german_speaks_through_window_and_core_and_papers_stay_english) {
    window.reset();
    speak("de");
    open_window();
    import_all();
    EXPECT_EQ(find<QAction>("stageAllAction")->text(), "Alle einpegeln");
    EXPECT_EQ(QCoreApplication::translate("isotonus::BusHead", "bus of %n track(s)", nullptr, 1), "Bus von 1 Spur");
    EXPECT_EQ(QCoreApplication::translate("isotonus::BusHead", "bus of %n track(s)", nullptr, 3), "Bus von 3 Spuren");
    EXPECT_EQ(word_of("low_cut"), "Low Cut");
    EXPECT_EQ(db_text(silence_db), "aus");
    EXPECT_TRUE(std::isinf(*parse_level("aus"))) << "what is written is read again";
    work().document.edit_tracks("lauter", {track(0).id}, [](Track& t) { t.fader_db = 12.0; });
    settle();
    const auto checks = checks_of(session(), work().player.plan(), {}).value();
    const auto headroom = std::find_if(checks.begin(), checks.end(), [](const Check& c) { return c.id == "headroom"; });
    EXPECT_TRUE(headroom->text.starts_with("der Spitzenpegel des Mixes ist ")) << headroom->text;
    {
        const InEnglish paper;
        EXPECT_EQ(translated("the mix is not silent"), "the mix is not silent");
        EXPECT_EQ(word_of("compressor"), "comp");
    }
    // A delivery with its sheet: in English.
    station(6);
    settle();
    wait_for([&] { return work().mix.leaving_figures().has_value(); });
    find<QCheckBox>("exportSheet")->setChecked(true);
    find<QLineEdit>("exportFile")->setText(to_qt(folder / "out/Mix.wav"));
    fs::create_directories(folder / "out");
    QTest::mouseClick(find<QPushButton>("export"), Qt::LeftButton);
    wait_for([&] { return !work().exports.busy() && fs::exists(folder / "out/Mix.wav"); });
    bool found = false;
    for (const auto& file : fs::directory_iterator(folder / "out")) {
        if (file.path().extension() != ".txt") continue;
        std::ifstream in(file.path());
        const std::string text((std::istreambuf_iterator<char>(in)), {});
        found = found || text.find("the mix peaks at") != std::string::npos;
        EXPECT_EQ(text.find("der Spitzenpegel"), std::string::npos) << file.path();
    }
    EXPECT_TRUE(found) << "the sheet has the checks";
    speak("en");
    EXPECT_EQ(word_of("compressor"), "comp");
}

TEST_F(Language, figures_have_a_comma_in_german_and_are_read_with_either_mark) {
    window.reset();
    speak("de");
    open_window();
    import_all();
    EXPECT_EQ(db_text(-6.0), "−6,0 dB");
    EXPECT_EQ(time_text(67.25, 2), "1:07,25");
    EXPECT_EQ(time_text(61.0, 0), "1:01");
    EXPECT_EQ(hz_text(2500.0), "2,5 kHz");
    EXPECT_EQ(size_text(51'300'000), "51,3 MB");
    EXPECT_EQ(translate("the mix peaks at only {:.1f} dBFS; at least {:g} is expected", -20.0, -12.5).find('.'),
              std::string::npos);
    const Processor compressor = new_processor(*processor_type("compressor"), {});
    const ParameterInfo& ratio = *parameter_of(compressor, "ratio");
    EXPECT_EQ(shown_value(ratio, 2.5), "2,5:1");
    EXPECT_EQ(value_text(ratio, 2.5), "2.5:1") << "files and the command line keep the point";
    for (const char* typed : {"-6,5", "−6.5", "-6.5 dB"}) EXPECT_EQ(parse_level(typed), -6.5) << typed;

    FigureBox box;
    box.setDecimals(2);
    box.setRange(-100.0, 100.0);
    box.setValue(-2.5);
    EXPECT_EQ(box.text(), "−2,5");
    for (const char* typed : {"-3,25", "-3.25"}) {
        box.setValue(0.0);
        box.selectAll();
        QTest::keyClicks(&box, typed);
        box.interpretText();
        EXPECT_EQ(box.value(), -3.25) << typed;
    }

    // No label, field or button of any station has a figure with a point.
    static const QRegularExpression point("(?<![\\d.])\\d+\\.\\d+(?![\\d.])");
    for (int n = 0; n < 7; ++n) {
        station(n);
        settle();
        for (QWidget* w : window->findChildren<QWidget*>()) {
            QString text;
            if (const auto* label = qobject_cast<QLabel*>(w)) text = label->text();
            if (const auto* button = qobject_cast<QAbstractButton*>(w)) text = button->text();
            if (const auto* field = qobject_cast<QAbstractSpinBox*>(w)) text = field->text();
            if (const auto* choice = qobject_cast<QComboBox*>(w)) text = choice->currentText();
            EXPECT_FALSE(point.match(text).hasMatch())
                << n << " " << w->objectName().toStdString() << ": " << text.toStdString();
        }
    }
    speak("en");
    EXPECT_EQ(db_text(-6.0), "−6.0 dB");
}

TEST_F(Language, errors_are_told_in_german_and_faults_of_plug_ins_are_kept_in_english) {
    const fs::path broken = folder / "kaputt.isotonus", no_wave = folder / "leer.wav";
    std::ofstream(broken) << ("{\"format\": \"isotonus-session\", \"version\": 1, \"main\": {\"fader_db\": 99}}");
    std::ofstream(no_wave).flush();
    const std::string english = read_session(broken).error().text();
    EXPECT_EQ(english, broken.string() +
                           ": the session cannot be read: 'main.fader_db' must be from −200 to 12. Restore a backup or "
                           "correct the file.");
    take_out_plugin("lv2:urn:isotonus:test:gone", "the plug-in crashed (Segmentation fault)");
    window.reset();
    speak("de");
    open_window();
    EXPECT_EQ(read_session(broken).error().text(),
              broken.string() +
                  ": die Sitzung kann nicht gelesen werden: 'main.fader_db' muss von −200 bis 12 liegen. Nimm eine "
                  "Sicherung oder berichtige die Datei.");
    EXPECT_EQ(SoundReader::open(no_wave).error().what, "die Datei ist leer. Exportiere sie noch einmal.");
    EXPECT_EQ(PendingFile::create(folder / "nirgends/x.txt", {}).error().what,
              "den Ordner der Datei gibt es nicht. Wähle einen anderen oder lege ihn zuerst an.");
    EXPECT_EQ(plugin_fault("lv2:urn:isotonus:test:gone"), "das Plug-in ist abgestürzt (Segmentation fault)");
    const InEnglish paper;
    EXPECT_EQ(plugin_fault("lv2:urn:isotonus:test:gone"), "the plug-in crashed (Segmentation fault)");
    EXPECT_EQ(read_session(broken).error().text(), english);
}

TEST_F(Language, no_german_text_is_cut) {
    window.reset();
    speak("de");
    open_window();
    import_all();
    look_at_all_stations();
}

TEST_F(Language, nothing_is_cut_at_six_sizes) {
    // What is left of a screen of 1024 x 600, 1366 x 768, 1280 x 800, 1920 x 1200 at 200 and at 125 %, 3840 x 2160.
    const QSize sizes[] = {{1024, 540}, {1366, 708}, {1280, 740}, {960, 560}, {1536, 900}, {3840, 2100}};
    for (const char* language : {"en", "de"}) {
        window.reset();
        speak(language);
        open_window();
        import_all();
        for (const QSize& size : sizes) {
            SCOPED_TRACE(testing::Message() << language << ", " << size.width() << " x " << size.height());
            window->resize(size);
            catch_up();
            ASSERT_EQ(window->size(), size) << "it can be that small";
            look_at_all_stations(size.width() < 1280);
        }
    }
}

TEST_F(Language, nothing_is_cut_in_dialogs) {
    for (const char* language : {"en", "de"}) {
        window.reset();
        speak(language);
        open_window();
        import_all();
        SCOPED_TRACE(language);
        with_each_dialog(*window, [](QWidget& dialog) {
            // As it opens, and on a screen of 1024 x 600 with a panel.
            for (const QSize& size : {dialog.size(), dialog.size().boundedTo({1004, 540})}) {
                dialog.resize(size);
                catch_up();
                EXPECT_EQ(dialog.size(), size) << "it can be that small";
                const QStringList cut = cut_in(dialog) + cut_paintings_in(dialog) + too_wide_in(dialog, false);
                EXPECT_TRUE(cut.isEmpty())
                    << size.width() << " x " << size.height() << ": " << cut.join('\n').toStdString();
            }
        });
    }
}

TEST_F(Language, no_text_is_cut_that_is_a_third_longer) {
    window.reset();
    Longer longer;
    QCoreApplication::installTranslator(&longer);
    open_window();
    window->resize(1280, 800);
    import_all();
    look_at_all_stations();
    window.reset();
    QCoreApplication::removeTranslator(&longer);
}

TEST_F(Language, a_very_long_row_name_stays_in_its_head) {
    import_all();
    const QString name = QString("A name of a row that nobody would read to its end ").repeated(4).trimmed();
    work().document.edit_tracks("name", {track(0).id}, [&](Track& t) { t.name = name.toStdString(); });
    for (int n = 0; n < 7; ++n) {
        station(n);
        EXPECT_EQ(window->desk().head_of(track(0).id)->width(), head_width);
        EXPECT_LE(window->minimumSizeHint().width(), 1280) << "station " << n + 1;
    }
}
