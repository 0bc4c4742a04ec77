// What is remembered between runs, under $XDG_CONFIG_HOME/isotonus.
#pragma once

#include <QSettings>
#include <QStringList>

namespace isotonus {

class Settings {
  public:
    Settings();
    QString device() const { return file_.value("device").toString(); }
    void set_device(const QString& name) { file_.setValue("device", name); }
    int block_frames() const { return file_.value("block_frames", 512).toInt(); }
    void set_block_frames(int frames) { file_.setValue("block_frames", frames); }
    bool night() const { return file_.value("night", false).toBool(); }
    void set_night(bool on) { file_.setValue("night", on); }
    bool plain_rms() const { return file_.value("plain_rms", false).toBool(); }
    void set_plain_rms(bool on) { file_.setValue("plain_rms", on); }
    QStringList recent() const { return file_.value("recent").toStringList(); }
    void add_recent(const QString& path);

  private:
    QSettings file_;
};

}  // namespace isotonus
