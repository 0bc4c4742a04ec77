// Exports in the background, one after another, with their papers.
#pragma once

#include <QObject>
#include <QVariantMap>
#include <deque>

#include "app/desk/background.h"
#include "core/handoff/papers.h"

namespace isotonus {

class Comparison;

/// The exports that wait and the one that runs; work goes on meanwhile, in whatever station.
class ExportQueue : public QObject {
    Q_OBJECT
  public:
    explicit ExportQueue(Comparison& comparison) : comparison_(comparison) {}

    struct Job {
        PlanPtr plan;
        Session session;
        Delivery delivery;
        std::vector<Check> checks;
        bool sheet = true, print = false;
        std::vector<std::string> left_out = {};  ///< what it is without, for the sheet
    };
    void add(Job job);
    /// One that writes the same files runs or waits.
    bool has(const Job& job) const;
    void cancel();  ///< the one that runs, and all that wait
    bool busy() const { return progress_ != nullptr; }
    size_t waiting() const { return waiting_.size(); }
    double fraction() const { return progress_ ? progress_->fraction() : 0.0; }
    const QString& last_words() const { return words_; }
    /// Files of the sheet that a delivery writes beside its audio.
    static std::vector<fs::path> papers(const Delivery& delivery);

    /// What the form for exports said last, by the names of its fields; it outlives the form.
    QVariantMap form;

  signals:
    void changed();

  private:
    void start_next();
    void finished(const Job& job, const Result<DeliveryReport>& report);

    Comparison& comparison_;
    std::deque<Job> waiting_;
    std::vector<fs::path> running_;  ///< the files of the one that runs
    std::shared_ptr<Progress> progress_;
    QString words_;
    Background jobs_;
};

}  // namespace isotonus
