using System.Text.Json.Serialization.Metadata;

namespace ZeroDrift.Contract.Input;

/// <summary>What a field should have held, in words.</summary>
internal static class ExpectedType
{
    /// <summary>By the type that was being read and the path to the fault, such as <c>$.points[2].kind</c>.</summary>
    public static string At(Type asked, string? path)
    {
        var type = asked;
        foreach (var step in (path ?? "$").Replace("[", ".[", StringComparison.Ordinal).Split('.').Skip(1))
        {
            var info = ContractJson.Rules.GetTypeInfo(type);
            var inner = step.StartsWith('[') ? info.ElementType : info.Properties.FirstOrDefault(p => p.Name.Equals(step, StringComparison.OrdinalIgnoreCase))?.PropertyType;
            if (inner is null) break;
            type = inner;
        }
        return Word(Nullable.GetUnderlyingType(type) ?? type);
    }

    private static string Word(Type type) => type switch
    {
        _ when type == typeof(double) || type == typeof(int) || type == typeof(long) => "a number",
        _ when type == typeof(bool) => "true or false",
        _ when type == typeof(DateOnly) || type == typeof(DateTimeOffset) || type == typeof(DateTime) => "a date such as 2027-01-04",
        _ when type == typeof(string) => "text",
        _ when type == typeof(Guid) => "an identifier",
        _ when type.IsEnum => "one of the words the contract lists",
        _ when ContractJson.Rules.GetTypeInfo(type).Kind == JsonTypeInfoKind.Enumerable => "a list",
        _ => "an object",
    };

    /// <summary>By the message of a fault, where nothing else is known of it.</summary>
    public static string InMessage(string message) => message switch
    {
        _ when message.Contains("as a number", StringComparison.Ordinal) => "a number",
        _ when message.Contains("as a boolean", StringComparison.Ordinal) => "true or false",
        _ when message.Contains("as a string", StringComparison.Ordinal) => "text",
        _ when message.Contains("Double", StringComparison.Ordinal) || message.Contains("Int", StringComparison.Ordinal) || message.Contains("Decimal", StringComparison.Ordinal) => "a number",
        _ when message.Contains("Boolean", StringComparison.Ordinal) => "true or false",
        _ when message.Contains("Date", StringComparison.Ordinal) => "a date such as 2027-01-04",
        _ when message.Contains("List", StringComparison.Ordinal) || message.Contains("[]", StringComparison.Ordinal) => "a list",
        _ when message.Contains("System.String", StringComparison.Ordinal) => "text",
        _ when message.Contains("Guid", StringComparison.Ordinal) => "an identifier",
        _ => "one of the words the contract lists",
    };
}
