using System.Text.Json.Nodes;
using ZeroDrift.Contract.Input;
using ZeroDrift.Contract.Visits;
using ZeroDrift.Core.Visits;

namespace ZeroDrift.Server.Visits;

/// <summary>An exchange: what this device adds, and how far it knows the visit.</summary>
public sealed record EntriesRequest(int? After, IReadOnlyList<EntryRequest>? Entries);

public sealed record EntryOutcomeResponse(Guid Id, string Outcome, int? Sequence, Problem? Problem);

public sealed record ExchangeResponse(int Head, IReadOnlyList<EntryOutcomeResponse> Outcomes, IReadOnlyList<JsonObject> Entries);

public sealed record EntriesResponse(IReadOnlyList<JsonObject> Entries);

public sealed record VisitSummary(Guid VisitId, Guid EngineId, string EngineName, string Site, JobKind Job, DateOnly Date, VisitState State, int Head, double? ShownHours, string? Who, DateTime StartedAt, int Found, int Points);

public sealed record VisitListResponse(IReadOnlyList<VisitSummary> Visits);

public sealed record TakeAlongResponse(string ContextId, ContextRecord Context);
