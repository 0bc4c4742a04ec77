// The guide tells the truth: every key, every word of the window and every figure that it names is found in the
// program, in English and in German, and terms in tooltips lead to its glossary.
#include <QRegularExpression>
#include <QWhatsThis>
#include <QXmlStreamReader>

#include "app/window/explain.h"
#include "app/window/guide_window.h"
#include "core/monitor/monitor.h"
#include "core/session/hand_off_settings.h"
#include "core/session/target_sheet.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

struct Page {
    QString name, text;
};

std::vector<Page> pages(const fs::path& folder) {
    std::vector<Page> all;
    for (const auto& entry : fs::directory_iterator(fs::path(ISOTONUS_SOURCE) / "docs/guide" / folder)) {
        if (entry.path().extension() != ".md") continue;
        QFile file(to_qt(entry.path()));
        EXPECT_TRUE(file.open(QIODevice::ReadOnly));
        all.push_back({to_qt(entry.path().filename()), QString::fromUtf8(file.readAll())});
    }
    std::sort(all.begin(), all.end(), [](const Page& a, const Page& b) { return a.name < b.name; });
    EXPECT_EQ(all.size(), 11u);
    return all;
}

QStringList found(const QString& text, const char* pattern) {
    QStringList all;
    const QRegularExpression wanted(QString::fromUtf8(pattern));
    for (auto at = wanted.globalMatch(text); at.hasNext();) all << at.next().captured(1).simplified();
    return all;
}

/// Texts of the window and what they are in German.
std::map<QString, QString> german_texts() {
    QFile file(QString(ISOTONUS_SOURCE) + "/app/data/translations/isotonus_de.ts");
    EXPECT_TRUE(file.open(QIODevice::ReadOnly));
    QXmlStreamReader xml(&file);
    std::map<QString, QString> all;
    QString source;
    while (!xml.atEnd()) {
        xml.readNext();
        if (!xml.isStartElement()) continue;
        if (xml.name() == u"source") source = xml.readElementText();
        if (xml.name() == u"translation" && !source.contains("%n")) all[source] = xml.readElementText();
    }
    return all;
}

/// The figures of a page with their units, as the program writes them; code, links and names of standards aside.
std::set<QString> figures_of(QString text) {
    static const QRegularExpression aside(
        "(?m)^    .*$|`[^`]*`|!\\[.*?\\]\\(.*?\\)|^\\d+\\. |BS\\.1770-5|Tech 33\\d\\d|"
        "R 128|R 68|(IEC|ISO) [\\d-]+|SHA-256|AES17"),
        figure(QString::fromUtf8("([−+±]?\\d+(?:[.,]\\d+)?)(?: (?:to|bis) ([−+±]?\\d+(?:[.,]\\d+)?))? "
                                 "?(dBFS|dBTP|dB|Hz|kHz|ms|s|%|[bB]it)(?!\\w)"));
    text.remove(aside);
    std::set<QString> all;
    for (auto at = figure.globalMatch(text); at.hasNext();) {
        const auto match = at.next();
        for (const int n : {1, 2})
            if (!match.captured(n).isEmpty())
                all.insert(QString(match.captured(n)).replace(',', '.') + ' ' + match.captured(3).toLower());
    }
    return all;
}

QString figure(double value, const char* unit) {
    QString text = QString::number(std::fabs(value)) + ' ' + QString(unit).toLower();
    return value < 0.0 ? QChar(0x2212) + text : text;
}

class Guide : public Window {};

}  // namespace

TEST_F(Guide, names_only_keys_that_the_window_has) {
    std::set<QString> known{"Enter", "Tab",  "Escape", "Space", "Up",
                            "Down",  "Left", "Right",  "T",     "0"};  // also those of lanes
    for (const KeysDialog::Key& k : window->keys())
        for (const QString& one : k.keys.split(QRegularExpression(", | and "))) known.insert(one);
    const std::pair<const char*, const char*> in_german[] = {
        {"Strg", "Ctrl"},           {"Umschalt", "Shift"},     {"Leertaste", "Space"},
        {"Bild abwärts", "PgDown"}, {"Bild aufwärts", "PgUp"}, {"Hoch", "Up"},
        {"Herunter", "Down"},       {"Links", "Left"},         {"Rechts", "Right"}};
    const std::set<QString> values{"L35", "R 12", "C"};
    int keys = 0;
    for (const char* language : {"", "de"})
        for (const Page& page : pages(language))
            for (QString key : found(page.text, "`([^`\\n]+)`")) {
                if (key.startsWith("isotonus") || key.startsWith("man ") || values.contains(key)) continue;
                const QString written = key;
                for (const auto& [german, english] : in_german) {
                    if (!*language) break;
                    key.replace(QRegularExpression(QString("(?<![A-Za-z])%1(?![a-z])").arg(german)), english);
                }
                EXPECT_TRUE(known.contains(key)) << page.name.toStdString() << ": " << written.toStdString();
                ++keys;
            }
    EXPECT_GT(keys, 80);
}

TEST_F(Guide, names_only_words_that_stand_in_the_window) {
    const auto texts = german_texts();
    std::set<QString> english, german;
    for (const auto& [source, translation] : texts) english.insert(source), german.insert(translation);
    int words = 0;
    for (const char* language : {"", "de"})
        for (const Page& page : pages(language)) {
            if (page.name.endsWith("glossary.md")) continue;
            const auto& known = *language ? german : english;
            for (const QString& word : found(page.text, "\\*\\*([^*]+)\\*\\*")) {
                EXPECT_TRUE(known.contains(word) || known.contains(word + QChar(0x2026)))
                    << language << '/' << page.name.toStdString() << ": " << word.toStdString();
                ++words;
            }
        }
    EXPECT_GT(words, 150);
}

TEST_F(Guide, names_only_figures_that_the_program_keeps_to_or_that_are_habits) {
    const TargetSheet sheet;
    const HandOffLimits limits;
    const MonitorSettings monitor;
    // What the program defines: a change there has to be a change here.
    std::set<QString> known{figure(sheet.percussive.low_dbfs, "dBFS"),
                            figure(sheet.percussive.aim_dbfs, "dBFS"),
                            figure(sheet.percussive.high_dbfs, "dBFS"),
                            figure(sheet.sustained.low_dbfs, "dBFS"),
                            figure(sheet.sustained.aim_dbfs, "dBFS"),
                            figure(sheet.sustained.high_dbfs, "dBFS"),
                            figure(sheet.peak_ceiling_dbfs, "dBFS"),
                            figure(sheet.mains_low_dbfs, "dBFS"),
                            figure(sheet.mains_high_dbfs, "dBFS"),
                            figure(limits.max_peak_dbfs, "dBFS"),
                            figure(limits.min_peak_dbfs, "dBFS"),
                            figure(limits.max_true_peak_dbtp, "dBTP"),
                            figure(limits.max_mono_loss_db, "dB"),
                            figure(limits.longest_silence_s, "s"),
                            figure(-monitor.quiet_db, "dB"),
                            QString::fromUtf8("±") + figure(trim_max_db, "dB"),
                            QString("%1 %").arg(*std::rbegin(Settings::zooms))};
    // The percussive window reaches half a decibel and more above the ceiling, which the guide explains by an example.
    EXPECT_GT(sheet.percussive.high_dbfs, sheet.peak_ceiling_dbfs);
    known.insert({QString::fromUtf8("−5.5 dbfs"), "0.5 db"});
    // The main output's window lies inside of what hand-off lets pass.
    EXPECT_GE(sheet.mains_low_dbfs, limits.min_peak_dbfs);
    EXPECT_LE(sheet.mains_high_dbfs, limits.max_peak_dbfs);
    // Common practice, no source; and what units and files are.
    for (const char* habit :
         {"0 db",   "0 dbfs", "0 dbtp",   "0.1 db",   "1 db",    "2 db",   "3 db",  "3.0 db", "4 db",
          "5 db",   "6 db",   "10 db",    "0 %",      "6 %",     "12 %",   "20 %",  "25 %",   "30 %",
          "35 %",   "50 %",   "99 %",     "100 %",    "200 %",   "38 hz",  "40 hz", "50 hz",  "100 hz",
          "200 hz", "5 khz",  "44.1 khz", "48 khz",   "24 bit",  "32 bit", "10 ms", "50 ms",  "300 ms",
          "400 ms", "38 db",  "−38 db",   "−24 dbfs", "−28 dbfs"})
        known.insert(QString::fromUtf8(habit));
    const auto english = pages(""), german = pages("de");
    for (size_t n = 0; n < english.size(); ++n) {
        const auto figures = figures_of(english[n].text);
        for (const QString& f : figures)
            EXPECT_TRUE(known.contains(f)) << english[n].name.toStdString() << ": " << f.toStdString();
        EXPECT_EQ(figures, figures_of(german[n].text)) << german[n].name.toStdString() << ": both say the same";
    }
}

TEST_F(Guide, has_a_glossary_that_terms_in_tooltips_lead_to) {
    const auto folder = guide_folder();
    ASSERT_TRUE(folder) << "cmark-gfm makes it";
    const QStringList terms = glossary_terms(*folder);
    EXPECT_GE(terms.size(), 30);
    for (const char* term :
         {"True peak", "Loudness", "Correlation", "PPM", "DC offset", "Trim", "Sidechain", "Headroom"})
        EXPECT_TRUE(terms.contains(term)) << term;
    const QString html = with_terms_linked("The true peak of the send, below 0 dBTP <b>.", terms);
    EXPECT_TRUE(html.contains("<a href=\"True peak\">true peak</a>")) << html.toStdString();
    EXPECT_TRUE(html.contains("<a href=\"Send\">send</a>")) << html.toStdString();
    EXPECT_TRUE(html.contains("&lt;b&gt;")) << html.toStdString();
    EXPECT_FALSE(html.contains("\">peak</a>")) << "a part of a longer term is no link of its own";
    import_all();
    settle();
    // A control is explained, and a term of its explanation opens the page where the term is.
    station(2);
    find<QAction>("explain")->trigger();
    EXPECT_TRUE(QWhatsThis::inWhatsThisMode());
    QTest::mouseClick(find<QToolButton>("mainChain"), Qt::LeftButton);
    catch_up();
    QWhatsThis::leaveWhatsThisMode();
    QWhatsThis::hideText();
    QWhatsThisClickedEvent clicked("Headroom");
    QApplication::sendEvent(find<QToolButton>("mainChain"), &clicked);
    catch_up();
    auto* guide = find<GuideWindow>("guideWindow");
    EXPECT_TRUE(guide->source().path().endsWith("glossary.html"));
    EXPECT_EQ(guide->source().fragment(), "Headroom");
    guide->close();
    catch_up();
    key(Qt::Key_Space);
    wait_for([&] { return work().player.playing(); });  // Space still plays
    key(Qt::Key_Space);
}
