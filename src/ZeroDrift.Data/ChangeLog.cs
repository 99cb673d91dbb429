using System.Text.Json.Nodes;
using ZeroDrift.Data.Model;

namespace ZeroDrift.Data;

/// <summary>Notes what an edit changes, so that the old values stay in the history of the thing edited.</summary>
public sealed class ChangeLog(ZeroDriftContext data, string subject, Guid subjectId, string? who, string? why, DateTime now)
{
    private readonly JsonObject what = [];

    /// <summary>Notes a change, if it is one, and gives the new value back.</summary>
    public T Changed<T>(string field, T before, T after)
    {
        if (!EqualityComparer<T>.Default.Equals(before, after)) what[field] = new JsonObject { ["before"] = Text(before), ["after"] = Text(after) };
        return after;
    }

    /// <summary>Puts away or brings back.</summary>
    public DateTime? Archived(DateTime? before, bool archived)
    {
        if (archived == before is not null) return before;
        what["archived"] = new JsonObject { ["before"] = before is not null, ["after"] = archived };
        return archived ? now : null;
    }

    /// <summary>Keeps what was noted; nothing where nothing changed.</summary>
    /// <returns>Whether something did.</returns>
    public bool Keep()
    {
        if (what.Count == 0) return false;
        data.Changes.Add(new ChangeRow { Subject = subject, SubjectId = subjectId, At = now, Who = who, Why = why, What = what.ToJsonString() });
        return true;
    }

    private static JsonNode? Text<T>(T value) => value is null ? null : JsonValue.Create(Convert.ToString(value, System.Globalization.CultureInfo.InvariantCulture));
}
