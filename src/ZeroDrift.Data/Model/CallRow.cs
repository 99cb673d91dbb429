using ZeroDrift.Core.Hours;

namespace ZeroDrift.Data.Model;

/// <summary>An operator's slip or a follow-up: open until a visit answers it or somebody closes it with why.</summary>
public sealed class CallRow
{
    public Guid Id { get; set; }
    public Guid EngineId { get; set; }
    public DueRule Rule { get; set; }
    public List<Symptom> Symptoms { get; set; } = [];
    public required string What { get; set; }
    public DateOnly? Date { get; set; }

    /// <summary>Total engine hours.</summary>
    public double? AtHours { get; set; }
    public string? Who { get; set; }
    public DateTime At { get; set; }
    public DateTime? ClosedAt { get; set; }
    public string? Why { get; set; }
    public Guid? VisitId { get; set; }

    public EngineCall ToCall() => new(Rule, Date, EngineHours.Of(AtHours));
}
