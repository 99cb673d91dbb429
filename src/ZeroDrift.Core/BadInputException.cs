namespace ZeroDrift.Core;

/// <summary>
/// Something a person gave cannot be right. Says which field, in the caller's own naming
/// (<c>firingOrder</c>, <c>trials[2].bladesMm</c>), and in one sentence what would be right.
/// </summary>
public sealed class BadInputException(string field, string message) : Exception(message)
{
    /// <summary>The field at fault, camelCase with indexes, as the HTTP contract spells it.</summary>
    public string Field { get; } = field;

    /// <summary>The same complaint, about a field that sits inside <paramref name="parent"/>.</summary>
    public BadInputException Inside(string parent) => new($"{parent}.{Field}", Message);
}
