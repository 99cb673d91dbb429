using System.Collections;
using System.Text.Json;
using ZeroDrift.Contract;
using ZeroDrift.Contract.Visits;

namespace ZeroDrift.Tablet.Tests;

/// <summary>What a sheet or a visit says of itself it says in words: an enumeration that the contract forgot would go out as a number on a tablet, and as a word from a server.</summary>
public sealed class WordsTests
{
    public static TheoryData<string> Enumerations => [.. Carried().Select(e => e.FullName!).Order(StringComparer.Ordinal)];

    [Theory]
    [MemberData(nameof(Enumerations))]
    public void No_enumeration_goes_out_as_a_number(string name)
    {
        var enumeration = Carried().Single(e => e.FullName == name);
        foreach (var value in Enum.GetValues(enumeration))
            Assert.Equal(JsonValueKind.String, JsonSerializer.SerializeToElement(value, enumeration, ContractJson.Rules).ValueKind);
    }

    private static HashSet<Type> Carried()
    {
        var (seen, found) = (new HashSet<Type>(), new HashSet<Type>());
        var open = new Stack<Type>([typeof(SheetRecord), typeof(ContextRecord), typeof(VisitRecord)]);
        while (open.TryPop(out var type))
        {
            var bare = Nullable.GetUnderlyingType(type) ?? type;
            if (!seen.Add(bare)) continue;
            if (bare.IsEnum) found.Add(bare);
            foreach (var argument in bare.GetGenericArguments()) open.Push(argument);
            if (bare.Namespace?.StartsWith("ZeroDrift", StringComparison.Ordinal) != true || typeof(IEnumerable).IsAssignableFrom(bare)) continue;
            foreach (var property in bare.GetProperties()) open.Push(property.PropertyType);
        }
        return found;
    }
}
