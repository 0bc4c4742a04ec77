// How everything is said: no message, label or error breaks a rule of words that a machine can check, and every control
// explains itself.
#include <QAbstractButton>
#include <QComboBox>
#include <QHeaderView>
#include <QListWidget>
#include <QRegularExpression>
#include <QScrollBar>
#include <QSpinBox>
#include <QTabBar>
#include <QTableWidget>
#include <QToolTip>
#include <QXmlStreamReader>

#include "app/balance/bus_block.h"
#include "app/desk/row_head.h"
#include "app/songmap/song_map.h"
#include "core/session/channel.h"
#include "core/session/routing.h"
#include "core/shape/chain.h"
#include "core/shape/processor.h"
#include "tests/app/dialogs.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// Every English text of the window and of the core that can be translated.
QStringList messages() {
    QFile file(QString(ISOTONUS_SOURCE) + "/app/data/translations/isotonus_de.ts");
    EXPECT_TRUE(file.open(QIODevice::ReadOnly));
    QXmlStreamReader xml(&file);
    QStringList all;
    while (!xml.atEnd()) {
        xml.readNext();
        if (xml.isStartElement() && xml.name() == u"source") all << xml.readElementText();
    }
    EXPECT_GT(all.size(), 2000);
    return all;
}

struct SourceFile {
    QString file, text;
};

/// The C++ sources below these folders.
std::vector<SourceFile> sources(const std::vector<const char*>& folders) {
    std::vector<SourceFile> all;
    for (const char* folder : folders)
        for (const auto& entry : fs::recursive_directory_iterator(fs::path(ISOTONUS_SOURCE) / folder)) {
            if (entry.path().extension() != ".cpp" && entry.path().extension() != ".h") continue;
            QFile file(to_qt(entry.path()));
            EXPECT_TRUE(file.open(QIODevice::ReadOnly));
            all.push_back({to_qt(fs::relative(entry.path(), ISOTONUS_SOURCE)), QString::fromUtf8(file.readAll())});
        }
    return all;
}

/// Literals that stand one behind the other are one text.
const QString literals = R"re(("(?:[^"\\\n]|\\.)*"(?:\s*"(?:[^"\\\n]|\\.)*")*))re";

QString unquoted(QString literal) {
    static const QRegularExpression between("\"\\s*\"");
    literal.remove(between);
    return literal.mid(1, literal.size() - 2).replace("\\\"", "\"").replace("\\n", "\n");
}

/// What people read of the command line: every text of it with a blank in it.
QStringList texts_of_the_command_line() {
    static const QRegularExpression literal(literals);
    QStringList all;
    for (const SourceFile& s : sources({"cli"})) {
        QString code = s.text;
        static const QRegularExpression raw("R\"\\(.*?\\)\"", QRegularExpression::DotMatchesEverythingOption),
            comment("//[^\n]*"), include("#include[^\n]*");
        code.remove(raw).remove(include).remove(comment);
        for (auto at = literal.globalMatch(code); at.hasNext();) {
            const QString text = unquoted(at.next().captured(1));
            if (text.trimmed().contains(' ')) all << text;
        }
    }
    EXPECT_GT(all.size(), 150);
    return all;
}

struct Rule {
    const char* why;
    const char* pattern;
    QString broken;            ///< a text that breaks it
    QStringList allowed = {};  ///< parts of texts in which the word has another meaning
};

const std::vector<Rule> rules{
    {"track or channel", "\\b[Rr]ows?\\b", "all rows"},
    {"exported, not leaving", "\\bleaves\\b", "what leaves", {"leaves room for lossy files", "a draft leaves them"}},
    {"is, has or lies", "\\bstands?\\b(?! out)", "it stands at -6 dB"},
    {"output", "\\bleads? to\\b", "it leads to a bus"},
    {"sidechain source", "\\blisten(s|ing)? to\\b|\\b(its|as its) key\\b", "it listens to the kick"},
    {"not", "\\b(is|are) no\\b", "this is no file", {"There is no other", "there is no "}},
    {"differs from", "\\b(is|are) (another|others)\\b", "its level is another"},
    {"colour", "\\b[Ii]nk\\b", "ink 3"},
    {"files to export", "\\bdocket\\b", "the docket"},
    {"undo, remove, restore, bypass",
     "\\b[Tt]ak(e|es|en) (back|away|off|out)\\b|\\b[Pp]ut right\\b",
     "Take off the list",
     {"replaces what was taken away", "ever taken away", "to take hiss away"}},
    {"fix", "\\b[Mm]end\\b", "2 to mend"},
    {"remove or delete", "\\b[Ff]orget\\b", "Forget a chain"},
    {"warnings", "worth a look", "1 worth a look"},
    {"suggestions", "\\b[Aa]dvi[cs]e", "as advised"},
    {"speaker check", "\\bplay(ed|back) (by|check)\\b", "played by"},
    {"feedback loop", "\\ba ring\\b", "makes a ring"},
    {"corrupt samples", "\\bnot numbers\\b", "not numbers"},
    {"simplify", "\\b[Tt]hin\\b", "Thin"},
    {"save with all files", "\\b[Cc]ollect", "Collect into a folder"},
    {"selected", "\\b(chosen|focused)\\b", "the chosen row"},
    {"main output", "\\bMains\\b", "Mains from"},
    {"dual pan", "\\b[Ss]ides (apart|together)\\b", "Sides apart"},
    {"headroom", "\\bof room\\b", "3 dB of room"},
    {"on or bypassed", "\\bin/out\\b|\\bin or out\\b|\\((out|in)\\)|, out\\b", "chain in or out"},
    {"PPM", "\\bprogramme\\b", "programme meter"},
    {"at most one semicolon", ";[^;]+;", "one; two; three", {";;", "(F6;"}},
    {"no beginning with a blank or a sign", "^[\\s,;:.·)\\]]", ", out", {}},
    {"labels are nouns or verbs", "^(What|Of what|How)\\b[^.]*$", "What is ridden"},
    {"plural forms for counts",
     "%\\d (tracks|files|points|processors|clips|buses|sections|notes|samples?)\\b",
     "%1 tracks",
     {"%1 of %2 tracks", "Delay %1 %2 samples", "%1 samples were above", "delay %2 samples", "%1 samples"}},
};

QStringList broken_rules(const QStringList& texts) {
    QStringList found;
    for (const Rule& rule : rules) {
        const QRegularExpression pattern(QString::fromUtf8(rule.pattern));
        for (const QString& text : texts) {
            if (!pattern.match(text).hasMatch()) continue;
            const bool allowed = std::any_of(rule.allowed.begin(), rule.allowed.end(),
                                             [&](const QString& part) { return text.contains(part); });
            if (!allowed) found << QString("%1: \"%2\"").arg(QString::fromUtf8(rule.why), text);
        }
    }
    found.removeDuplicates();
    return found;
}

/// The last sentence begins with one of these: it tells the user what to do.
bool says_what_to_do(const QString& error) {
    static const QRegularExpression remedy(
        "\\. (Add|Allow|Change|Check|Choose|Close|Connect|Copy|Correct|Delete|Empty|Export|Fix|Free|Install|Lower|Mark|"
        "Name|Open|Press|Put|Raise|Read|Relink|Remove|Replace|Restore|Save|Search|Select|Set|Simplify|Start|Swap|Turn|"
        "Try|"
        "Type|Undo|Unmute|Update|Use|Wait|Write)\\b[^.]*(\\.[^. ][^.]*)*\\.$");
    // A remedy that is a constant of the command line is put in by value.
    return remedy.match(error).hasMatch() || error.endsWith(". {}") || error.endsWith(": {}");
}

/// The texts that are given to a function that makes an error, with their files.
std::vector<SourceFile> errors_in(const std::vector<SourceFile>& all, const char* function) {
    const QRegularExpression begin(function), literal(literals);
    std::vector<SourceFile> errors;
    for (const SourceFile& s : all)
        for (auto at = begin.globalMatch(s.text); at.hasNext();) {
            const auto found = at.next();
            // Up to the parenthesis that closes the call, what lies in quotation marks aside.
            qsizetype end = found.capturedEnd();
            bool quoted = false;
            for (int open = 1; end < s.text.size() && open > 0; ++end) {
                const QChar c = s.text[end];
                if (c == '"' && s.text[end - 1] != '\\') quoted = !quoted;
                if (!quoted && c == '(') ++open;
                if (!quoted && c == ')') --open;
            }
            const QString call = s.text.mid(found.capturedEnd(), end - found.capturedEnd());
            for (auto text = literal.globalMatch(call); text.hasNext();) {
                const QString error = unquoted(text.next().captured(1));
                if (error.count(' ') > 2) errors.push_back({s.file, error});
            }
        }
    return errors;
}

/// Letters of a label, without mnemonics, figures and signs before them.
QString first_word(QString label) {
    label.remove('&');
    static const QRegularExpression before("^[^\\p{L}]+");
    return label.remove(before);
}

}  // namespace

TEST(Words, rules_find_what_breaks_them) {
    for (const Rule& rule : rules) EXPECT_FALSE(broken_rules({rule.broken}).isEmpty()) << rule.why;
    EXPECT_FALSE(says_what_to_do("the file is empty"));
    EXPECT_FALSE(says_what_to_do("the file is empty. It has no samples."));
    EXPECT_TRUE(says_what_to_do("the file is empty. Export it again."));
}

TEST(Words, no_message_breaks_a_rule) {
    const QStringList broken = broken_rules(messages());
    EXPECT_TRUE(broken.isEmpty()) << broken.join('\n').toStdString();
}

TEST(Words, no_text_of_the_command_line_breaks_a_rule) {
    QStringList texts;
    for (QString text : texts_of_the_command_line()) texts << text.trimmed();  // parts of lines and tables
    const QStringList broken = broken_rules(texts.filter(QRegularExpression("^[^,;:.)(]")));
    EXPECT_TRUE(broken.isEmpty()) << broken.join('\n').toStdString();
}

TEST(Words, every_text_with_a_count_is_found_by_those_who_translate) {
    // lupdate passes over a call of translate() whose count contains a cast, and says nothing.
    const QRegularExpression lost("::translate\\([^;]*nullptr,\\s*[^),]*<");
    for (const SourceFile& s : sources({"app"}))
        EXPECT_FALSE(lost.match(s.text).hasMatch())
            << s.file.toStdString() << ": " << lost.match(s.text).captured().toStdString();
}

TEST(Words, every_error_ends_with_what_to_do) {
    auto errors = errors_in(sources({"core", "engine", "cli"}), "\\bfail\\(");
    const auto complaints = errors_in(sources({"cli"}), "\\bcomplain\\(");
    EXPECT_GT(errors.size(), 200u);
    EXPECT_GT(complaints.size(), 10u);
    errors.insert(errors.end(), complaints.begin(), complaints.end());
    for (const SourceFile& error : errors)
        EXPECT_TRUE(says_what_to_do(error.text)) << error.file.toStdString() << ": " << error.text.toStdString();
}

// What the tests of dialogs look at is a list, which a new dialog has to be added to.
TEST(Dialogs, are_all_in_the_list) {
    QFile list(QString(ISOTONUS_SOURCE) + "/tests/app/dialogs.h");
    ASSERT_TRUE(list.open(QIODevice::ReadOnly));
    const QString listed = QString::fromUtf8(list.readAll());
    static const QRegularExpression dialog("class (\\w+) : public QDialog\\b");
    int found = 0;
    for (const SourceFile& s : sources({"app"}))
        for (auto at = dialog.globalMatch(s.text); at.hasNext(); ++found) {
            const QString name = at.next().captured(1);
            EXPECT_TRUE(listed.contains("make_unique<" + name + ">")) << name.toStdString();
        }
    EXPECT_GE(found, 7);
}

namespace {

class WordsInWindow : public Window {
  protected:
    /// The window with every station, panel, page and dialog in turn.
    void look_everywhere(const std::function<void()>& look) {
        import_all();
        settle();
        work().document.select_only(track(0).id);
        work().edits.make_bus();
        catch_up();
        work().document.select_only(track(0).id);
        for (int n = 0; n < 7; ++n) {
            station(n);
            if (n == 0) work().view.show_panel(true);
            const int pages = n == 2 || n == 5 ? 7 : 1;
            for (int page = 0; page < pages; ++page) {
                if (n == 2) work().view.balance.show_page(static_cast<BalanceView::Page>(page));
                if (n == 5) work().view.compare.show_page(static_cast<CompareView::Page>(page));
                catch_up();
                look();
            }
        }
        // Shape with each kind of processor, and a send.
        station(3);
        for (const ProcessorType* type : processor_types()) {
            Session next = with_chain(session(), track(0).id, [&](Chain& c) { c = {new_processor(*type, {})}; });
            work().document.edit("processor", std::move(next));
            catch_up();
            look();
        }
        // A send, which has a form of its own.
        Session next = with_send(session(), track(0).id, session().buses[0].id, [](Send&) {}).value_or(session());
        work().document.edit("send", std::move(next));
        catch_up();
        auto* list = find<QListWidget>("chainList");
        list->setCurrentRow(list->count() - 1);
        catch_up();
        look();
        with_each_dialog(*window, [&](QWidget&) { look(); });
    }
    static QString name_of(const QWidget& w) {
        QStringList path;
        for (const QWidget* up = &w; up && path.size() < 4; up = up->parentWidget())
            path << up->objectName() + "(" + up->metaObject()->className() + ")";
        return path.join(" in ");
    }
};

/// Of a table or a box that shows names or values of the user's.
bool shows_names(const QWidget& w) { return w.property("shows_names").toBool(); }

}  // namespace

TEST_F(WordsInWindow, whatever_is_clicked_is_in_sentence_case) {
    QStringList lower;
    const auto check = [&](const QString& text, const QString& where) {
        const QString word = first_word(text);
        if (!word.isEmpty() && text.trimmed().startsWith(word.left(1)) && word[0].isLower())
            lower << QString("\"%1\": %2").arg(text, where);
    };
    look_everywhere([&] {
        for (const auto* b : window->findChildren<QAbstractButton*>())
            if (!shows_names(*b)) check(b->text(), name_of(*b));
        for (const auto* c : window->findChildren<QComboBox*>())
            for (int n = 0; n < c->count() && !shows_names(*c); ++n) check(c->itemText(n), name_of(*c));
        for (const auto* t : window->findChildren<QTabBar*>())
            for (int n = 0; n < t->count(); ++n) check(t->tabText(n), name_of(*t));
        for (const auto* t : window->findChildren<QTableWidget*>())
            for (int n = 0; n < t->columnCount(); ++n)
                if (const auto* head = t->horizontalHeaderItem(n)) check(head->text(), name_of(*t));
        for (const auto* m : window->findChildren<QMenu*>())
            for (const QAction* a : m->actions()) check(a->text(), name_of(*m));
        for (const QAction* a : window->actions()) check(a->text(), a->objectName());
    });
    lower.removeDuplicates();
    EXPECT_TRUE(lower.isEmpty()) << lower.join('\n').toStdString();
}

TEST_F(WordsInWindow, every_control_says_what_it_is) {
    QStringList silent;
    look_everywhere([&] {
        for (auto* w : window->findChildren<QWidget*>()) {
            if (!w->isVisible()) continue;
            const bool is_inside = qobject_cast<const QAbstractSpinBox*>(w->parentWidget()) ||
                                   qobject_cast<const QComboBox*>(w->parentWidget());
            const bool is_control = qobject_cast<const QAbstractButton*>(w) || qobject_cast<const QComboBox*>(w) ||
                                    qobject_cast<const QAbstractSpinBox*>(w) ||
                                    (qobject_cast<const QLineEdit*>(w) && !is_inside) ||
                                    (qobject_cast<const QAbstractSlider*>(w) && !qobject_cast<const QScrollBar*>(w));
            const auto* box = qobject_cast<const QDialogButtonBox*>(w->parentWidget());
            const bool is_ok_or_close =
                box && box->standardButton(qobject_cast<QAbstractButton*>(w)) != QDialogButtonBox::NoButton;
            if (is_control && !is_ok_or_close && !QString(w->objectName()).startsWith("qt_") && w->toolTip().isEmpty())
                silent << name_of(*w);
            if (const auto* table = qobject_cast<const QTableWidget*>(w))
                for (int n = 0; n < table->columnCount(); ++n) {
                    const auto* head = table->horizontalHeaderItem(n);
                    if (head && !head->text().isEmpty() && head->toolTip().isEmpty())
                        silent << "head \"" + head->text() + "\" of " + name_of(*w);
                }
        }
    });
    silent.removeDuplicates();
    EXPECT_TRUE(silent.isEmpty()) << silent.join('\n').toStdString();
}

TEST_F(WordsInWindow, columns_of_the_lanes_say_what_they_show) {
    import_all();
    settle();
    for (const int n : {1, 2, 3}) {
        station(n);
        catch_up();
        auto* ruler = find<QWidget>("ruler");
        std::set<QString> told;
        for (int x = head_width + 4; x < ruler->width() - 20; x += 8) {
            QToolTip::hideText();
            QHelpEvent asked(QEvent::ToolTip, QPoint(x, 16), ruler->mapToGlobal(QPoint(x, 16)));
            QApplication::sendEvent(ruler, &asked);
            if (QToolTip::isVisible()) told.insert(QToolTip::text());
        }
        EXPECT_GE(told.size(), 3u) << "station " << n + 1;
    }
}

TEST_F(WordsInWindow, every_menu_entry_says_what_it_does) {
    // What the desktop and every program call alike, and what its own words explain.
    const QSet<QString> plain = {"New session",
                                 "Open…",
                                 "Save",
                                 "Save as…",
                                 "Undo",
                                 "Redo",
                                 "Quit",
                                 "Larger",
                                 "Smaller",
                                 "Rename…",
                                 "Remove the note",
                                 "Colour",
                                 "no references yet; added references appear here"};
    QStringList silent, seen;
    const std::function<void(const QMenu&)> look = [&](const QMenu& menu) {
        EXPECT_TRUE(menu.toolTipsVisible() || !menu.isVisible());
        for (const QAction* a : menu.actions()) {
            const QString words = a->text().remove('&');
            if (a->isSeparator() || plain.contains(words.section(':', 0, 0))) continue;
            seen << words;
            // What is in a menu, or at a button, with an explanation of its own is a choice of it.
            const auto* button = qobject_cast<const QAbstractButton*>(menu.parent());
            const bool chosen = a->isCheckable() && button && !button->toolTip().isEmpty();
            const bool says = chosen || (!a->toolTip().isEmpty() && a->toolTip() != words);
            if (!says) silent << words + " in " + name_of(menu);
            if (a->menu() && !says) look(*a->menu());
        }
    };
    const auto look_at_menu_of = [&](QWidget* widget, const QPoint& at) {
        in_opened<QMenu>(
            [&] {
                QContextMenuEvent event(QContextMenuEvent::Mouse, at, widget->mapToGlobal(at));
                QApplication::sendEvent(widget, &event);
            },
            [&](QMenu& menu) {
                look(menu);
                menu.close();
            });
    };
    look_everywhere([&] {
        const auto found = window->findChildren<QMenu*>();
        for (const QPointer<QMenu>& menu : QList<QPointer<QMenu>>(found.begin(), found.end())) {
            // One inside another is looked at with that one, which may fill it anew.
            if (!menu || qobject_cast<const QMenu*>(menu->parent())) continue;
            emit menu->aboutToShow();
            look(*menu);
        }
    });
    look_at_menu_of(window->findChild<SongMap*>(), QPoint(400, 40));
    station(2);
    look_at_menu_of(window->findChild<RowHead*>(), QPoint(40, 10));
    look_at_menu_of(window->findChild<BusHead*>(), QPoint(40, 10));
    silent.removeDuplicates();
    EXPECT_TRUE(silent.isEmpty()) << silent.join('\n').toStdString();
    EXPECT_GT(seen.size(), 100);
}
