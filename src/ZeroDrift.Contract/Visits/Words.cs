using System.Text.Json;

namespace ZeroDrift.Contract.Visits;

/// <summary>The words of an enumeration as the contract spells them.</summary>
internal static class Words<T> where T : struct, Enum
{
    public static IReadOnlyDictionary<string, T> All { get; } = Enum.GetValues<T>().ToDictionary(Name, StringComparer.Ordinal);

    public static string Name(T value) => JsonNamingPolicy.CamelCase.ConvertName(value.ToString());
}
