// What is remembered between runs, under $XDG_CONFIG_HOME/isotonus.
#pragma once

#include <QSettings>
#include <QStringList>
#include <algorithm>

namespace isotonus {

class Settings {
  public:
    Settings();
    /// At the first start, whatever the desktop plays through.
    QString device() const { return file_.value("device", "system").toString(); }
    void set_device(const QString& name) { file_.setValue("device", name); }
    int block_frames() const { return file_.value("block_frames", 512).toInt(); }
    void set_block_frames(int frames) { file_.setValue("block_frames", frames); }
    /// "en", "de"; empty: as the system's.
    QString language() const { return file_.value("language").toString(); }
    void set_language(const QString& code) { file_.setValue("language", code); }
    bool night() const { return file_.value("night", false).toBool(); }
    void set_night(bool on) { file_.setValue("night", on); }
    bool plain_rms() const { return file_.value("plain_rms", false).toBool(); }
    void set_plain_rms(bool on) { file_.setValue("plain_rms", on); }
    int row_height() const { return file_.value("row_height", 36).toInt(); }
    void set_row_height(int pixels) { file_.setValue("row_height", pixels); }
    // Monitoring, dB; and how loud -18 dBFS is at the ear, dB SPL.
    double dim_db() const { return file_.value("dim_db", -20.0).toDouble(); }
    double quiet_db() const { return file_.value("quiet_db", -30.0).toDouble(); }
    double rest_db() const { return file_.value("rest_db", -15.0).toDouble(); }
    /// While a bus is heard: the rest steps back by rest_db instead of being silent.
    bool rest_dimmed() const { return file_.value("rest_dimmed", false).toBool(); }
    void set_rest_dimmed(bool on) { file_.setValue("rest_dimmed", on); }
    double listening_db_spl() const { return file_.value("listening_db_spl", 75.0).toDouble(); }
    void set_monitoring(double dim_db, double quiet_db, double rest_db, double listening_db_spl) {
        file_.setValue("dim_db", dim_db);
        file_.setValue("quiet_db", quiet_db);
        file_.setValue("rest_db", rest_db);
        file_.setValue("listening_db_spl", listening_db_spl);
    }
    /// How much the cache of measurements and converted files may hold, GiB of 2^30 bytes.
    int cache_gib() const { return std::clamp(file_.value("cache_gib", 8).toInt(), 1, 1024); }
    void set_cache_gib(int gib) { file_.setValue("cache_gib", gib); }
    /// Kinds of channels below the tracks that show as one line, and panels that were made higher or lower, px.
    QVariantList folded() const { return file_.value("folded").toList(); }
    void set_folded(const QVariantList& kinds) { file_.setValue("folded", kinds); }
    QVariantMap panel_heights() const { return file_.value("panel_heights").toMap(); }
    void set_panel_heights(const QVariantMap& heights) { file_.setValue("panel_heights", heights); }
    /// The listener's own correction; empty: none.
    QString correction() const { return file_.value("correction").toString(); }
    void set_correction(const QString& file) { file_.setValue("correction", file); }
    bool main_spectrum() const { return file_.value("main_spectrum", false).toBool(); }
    void set_main_spectrum(bool on) { file_.setValue("main_spectrum", on); }
    bool keeps_prints() const { return file_.value("keeps_prints", true).toBool(); }
    void set_keeps_prints(bool on) { file_.setValue("keeps_prints", on); }
    /// The main window's place and size, as Qt keeps it.
    QByteArray geometry() const { return file_.value("geometry").toByteArray(); }
    void set_geometry(const QByteArray& geometry) { file_.setValue("geometry", geometry); }
    /// How large the whole interface is drawn, percent of what the screen asks for.
    static constexpr int zooms[] = {75, 90, 100, 110, 125, 150, 175, 200, 250, 300};
    int zoom() const { return std::clamp(file_.value("zoom", 100).toInt(), *std::begin(zooms), *std::rbegin(zooms)); }
    void set_zoom(int percent) { file_.setValue("zoom", percent); }
    QStringList recent() const { return file_.value("recent").toStringList(); }
    void add_recent(const QString& path);

  private:
    QSettings file_;
};

}  // namespace isotonus
