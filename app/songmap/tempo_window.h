// The song's tempo: typed, tapped while it plays, or found from kick and snare.  Stays open beside the song map, which
// draws the bars, so that what was found can be looked at and heard.
#pragma once

#include <QDialog>
#include <QElapsedTimer>
#include <QLabel>
#include <QLineEdit>
#include <vector>

#include "app/desk/background.h"
#include "app/desk/workspace.h"
#include "app/style/figure_box.h"

namespace isotonus {

class TempoWindow : public QDialog {
    Q_OBJECT
  public:
    TempoWindow(Workspace& work, QWidget* parent);

  private:
    void show_session();
    void type(const QString& text);
    void tap();
    void find();
    /// In place of the tempo at the playhead, as an undo step; taps that follow each other are one.
    void set(const TempoMark& mark, uint64_t gesture = 0);
    void multiply(double by);
    /// The tempo that is shown: the one at the playhead, or the one that is being typed over.
    TempoMark now() const;
    bool is_typed_in() const;

    Workspace& work_;
    QLineEdit* tempo_;
    FigureBox* first_bar_;
    QLabel* told_;
    std::vector<double> taps_s_;
    uint64_t tapping_ = 0;  ///< the undo step that these taps are
    QElapsedTimer clock_;
    size_t count_ = 0;         ///< of tempos, when they were last shown
    double shown_at_s_ = 0.0;  ///< in the song: the tempo that holds there is shown
    Background jobs_;
};

/// Asks for a tempo in place, where something needs one; whether the song has one now.
bool ask_tempo(Workspace& work);

}  // namespace isotonus
