using System.Globalization;
using System.Reflection;
using ZeroDrift.Contract.Input;

namespace ZeroDrift.Server.Errors;

/// <summary>A question in the address (<c>?take=few</c>) whose answer cannot be read: the routing says 400 and no more, so what the endpoint takes is held to what was given.</summary>
internal static class AddressQuestion
{
    private static readonly Dictionary<Type, (Func<string, bool> Reads, string Wanted)> Kinds = new()
    {
        [typeof(bool)] = (given => bool.TryParse(given, out _), "true or false"),
        [typeof(int)] = (given => int.TryParse(given, NumberStyles.Integer, CultureInfo.InvariantCulture, out _), "a whole number"),
        [typeof(double)] = (given => double.TryParse(given, CultureInfo.InvariantCulture, out _), "a figure"),
        [typeof(Guid)] = (given => Guid.TryParse(given, out _), "an identifier (a UUID)"),
        [typeof(DateOnly)] = (given => DateOnly.TryParse(given, CultureInfo.InvariantCulture, out _), "a day, such as 2026-11-27"),
    };

    /// <summary>What cannot be read, by its name; null where it was something else.</summary>
    public static Problem? Unreadable(HttpContext context)
    {
        foreach (var parameter in context.GetEndpoint()?.Metadata.GetMetadata<MethodInfo>()?.GetParameters() ?? [])
        {
            if (!Kinds.TryGetValue(Nullable.GetUnderlyingType(parameter.ParameterType) ?? parameter.ParameterType, out var kind)) continue;
            var given = context.Request.Query[parameter.Name!].ToString();
            if (given.Length == 0 || kind.Reads(given)) continue;
            return Problem.Field(400, "malformed", parameter.Name!, $"{parameter.Name} is {kind.Wanted}; '{Problem.Short(given, 40)}' was given.");
        }
        return null;
    }
}
