// The bench of Shape: the chosen row's chain, its picture, the fields of a processor, presets and advice.
#pragma once

#include <QComboBox>
#include <QFormLayout>
#include <QLabel>
#include <QListWidget>
#include <QMenu>
#include <QPushButton>
#include <QScrollArea>
#include <QStackedWidget>
#include <QVBoxLayout>

#include "app/shape/advisor.h"
#include "app/shape/level_picture.h"
#include "app/shape/send_form.h"
#include "app/shape/shape_picture.h"
#include "app/shape/tap_picture.h"

namespace isotonus {

class ShapePanel : public QWidget {
    Q_OBJECT
  public:
    ShapePanel(Workspace& work, QWidget* parent);
    ~ShapePanel() override;

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    void follow();
    void fill_form();
    /// Fields show what their rides say at the playhead, or what was set by hand.
    void show_values();
    void playhead_moved();
    void add_parameter(const Processor& processor, const ParameterInfo& info);
    void add_band_choice();
    void add_key(const Processor& processor);
    void add_room(const Processor& reverb);
    /// Why a processor of the row does nothing; empty: it does what it should.
    QString fault_of(size_t position) const;
    void fill_add(QMenu& menu);
    const Send* chosen_send() const;  ///< null while a processor is chosen
    size_t position() const;          ///< of the chosen processor; the count of them when none is
    void add_list(QVBoxLayout* column);
    void add_menus(QVBoxLayout* column);
    /// Pictures, and what was advised.
    QVBoxLayout* make_middle();
    void work_with_list();
    void move(int by);
    /// Rows that an edit here changes: those that are selected with a track, a bus alone.
    std::vector<TrackId> rows_meant() const;
    void use_preset(const Preset& preset, const QString& name);
    void fill_presets(QMenu& menu);
    void fill_advice(QMenu& menu);
    /// The difference that the chosen processor makes, alone; what is heard is put back when the row changes.
    void hear_what_is_cut(bool on);
    Workspace& work_;
    QListWidget* list_;
    QStackedWidget* pictures_;
    ShapePicture* picture_;
    LevelPicture* levels_;
    TapPicture* taps_;
    QScrollArea* scroll_;
    QPushButton *in_, *remove_, *up_, *down_;
    TrackId row_ = 0;
    Chain shown_;
    Sends shown_sends_;
    bool hearing_cut_ = false;
    std::pair<TrackId, uint64_t> equaliser_;                     ///< whose bands the form had last
    QString form_of_ = "nothing";                                ///< row and processor whose fields are shown
    std::vector<std::function<void(const Processor&)>> fields_;  ///< each shows its value
    SendForm* sends_;
    Advisor* advisor_;
    QWidget* advice_strip_;
    QLabel* advice_text_;
    QPushButton* take_;
    Background jobs_;
};

}  // namespace isotonus
