// Compare's pages in words: what has changed since a print, notes taken while listening, the blind comparison, and what
// of the job is done.
#pragma once

#include <QBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QSpinBox>
#include <QTableWidget>

#include "app/desk/plain_table.h"
#include "app/desk/workspace.h"
#include "core/compare/blind.h"
#include "core/session/changes.h"

namespace isotonus {

/// What differs between the session as it was at a print and as it is, row by row, and the way back.
class ChangesPage : public QWidget {
    Q_OBJECT
  public:
    ChangesPage(Workspace& work, QWidget* parent);
    /// Since this recording was made; none: nothing is chosen.
    void show_since(std::optional<size_t> recording);

  protected:
    void showEvent(QShowEvent* event) override;

  private:
    void follow();
    void take_back();
    Workspace& work_;
    QLabel* words_;
    QTableWidget* table_;
    QPushButton *one_, *all_;
    std::optional<size_t> recording_;
    fs::path read_from_;  ///< whose session `then_` is
    std::optional<Session> then_;
    QString trouble_;
    std::vector<RowChange> changes_;
};

/// Notes on the song: when, what, heard on what; ticked off when they are done.
class NotesPage : public QWidget {
    Q_OBJECT
  public:
    NotesPage(Workspace& work, QWidget* parent);

  private:
    void follow();
    std::optional<size_t> chosen() const;
    Workspace& work_;
    QTableWidget* table_;
    QPushButton *change_, *heard_on_, *remove_, *on_sheet_;
    bool filling_ = false;
};

/// Which version is the best, when one does not know which it is.
class BlindPage : public QWidget {
    Q_OBJECT
  public:
    BlindPage(Workspace& work, QWidget* parent);
    /// Between the mix and these recordings.
    void choose_from(std::vector<size_t> recordings);

  private:
    void start();
    void hear(size_t letter);
    void choose(size_t letter);
    void stop();
    void follow();
    Workspace& work_;
    QLabel *words_, *results_;
    QSpinBox* rounds_;
    QPushButton *start_, *stop_;
    struct Letter {
        QPushButton *hear, *best;
    };
    std::vector<Letter> letters_;
    std::vector<size_t> offered_;
    std::vector<std::optional<size_t>> versions_;  ///< none: the mix
    std::optional<BlindRounds> running_;
};

/// What of the job is done and what is not; no score.  Each line goes to its place.
class DonePage : public QWidget {
    Q_OBJECT
  public:
    DonePage(Workspace& work, QWidget* parent);

  protected:
    void showEvent(QShowEvent* event) override;

  private:
    struct Line {
        bool done;
        QString text;
        int station;
        std::function<void()> then;  ///< what is opened there besides
    };
    /// Of tracks.
    struct Counts {
        int flagged = 0, in_window = 0, counted = 0, anchors = 0, covered = 0, heard = 0, unknown = 0;
    };
    Counts counts() const;
    std::vector<Line> lines() const;
    void follow();
    Workspace& work_;
    QTableWidget* table_;
    std::vector<Line> shown_;
    QTimer timer_;
};

}  // namespace isotonus
