namespace ZeroDrift.Server.Problems;

/// <summary>Two people touched the same thing; <paramref name="current"/> is what stands now, so that the screen can show both.</summary>
internal sealed class ConflictException(string field, string message, object? current = null) : Exception(message)
{
    public string Field { get; } = field;

    public object? Current { get; } = current;
}

/// <summary>No such thing.</summary>
internal sealed class NotFoundException(string message) : Exception(message);
