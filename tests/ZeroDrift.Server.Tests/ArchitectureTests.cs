using System.Reflection;
using System.Text.RegularExpressions;

namespace ZeroDrift.Server.Tests;

/// <summary>Dependencies point inwards only, and no room of a project knows another that knows it.</summary>
public partial class ArchitectureTests
{
    [Theory]
    [InlineData("ZeroDrift.Core", new[] { "ZeroDrift.Data", "ZeroDrift.Server", "ZeroDrift.Contract", "ZeroDrift.Planning", "Google.OrTools", "Microsoft.EntityFrameworkCore", "Microsoft.AspNetCore", "Microsoft.Data.Sqlite" })]
    [InlineData("ZeroDrift.Contract", new[] { "ZeroDrift.Data", "ZeroDrift.Server", "ZeroDrift.Planning", "Microsoft.EntityFrameworkCore", "Microsoft.AspNetCore", "Microsoft.Data.Sqlite" })]
    [InlineData("ZeroDrift.Planning", new[] { "ZeroDrift.Data", "ZeroDrift.Server", "ZeroDrift.Contract", "Microsoft.AspNetCore" })]
    [InlineData("ZeroDrift.Data", new[] { "ZeroDrift.Server", "ZeroDrift.Planning", "Microsoft.AspNetCore" })]
    public void A_layer_knows_nothing_of_those_outside_it(string layer, string[] outside)
    {
        var references = Assembly.Load(layer).GetReferencedAssemblies().Select(a => a.Name!).ToList();

        Assert.DoesNotContain(references, name => outside.Any(o => name.StartsWith(o, StringComparison.Ordinal)));
    }

    [Fact]
    public void Namespaces_follow_folders_in_the_core() =>
        Assert.All(Assembly.Load("ZeroDrift.Core").GetExportedTypes(), type => Assert.StartsWith("ZeroDrift.Core", type.Namespace!, StringComparison.Ordinal));

    [Fact]
    public void No_room_is_in_a_circle()
    {
        var arrows = Arrows();

        var circles = arrows.Keys.Where(room => Reaches(arrows, room, room)).ToList();

        Assert.True(arrows.Count > 10);
        Assert.True(circles.Count == 0, "In a circle: " + string.Join(", ", circles));
    }

    [Theory]
    [InlineData("Lengths", new[] { "Engines", "Turning", "Measuring", "Judging", "Setting", "Drift", "Hours", "Wear", "Outlook", "Visits" })]
    [InlineData("Engines", new[] { "Turning", "Measuring", "Judging", "Setting", "Drift", "Hours", "Wear", "Outlook", "Visits" })]
    [InlineData("Measuring", new[] { "Judging", "Setting", "Visits", "Outlook" })]
    [InlineData("Judging", new[] { "Setting", "Visits", "Outlook" })]
    [InlineData("Drift", new[] { "Wear", "Outlook", "Visits" })]
    [InlineData("Wear", new[] { "Outlook", "Visits" })]
    public void A_lower_room_of_the_core_knows_no_higher_one(string room, string[] higher)
    {
        var known = Arrows().GetValueOrDefault("ZeroDrift.Core/" + room) ?? [];

        Assert.DoesNotContain(known, k => higher.Any(h => k == "ZeroDrift.Core/" + h));
    }

    /// <summary>Which room uses which: a using of another room's namespace, and a type that only that room declares.</summary>
    private static Dictionary<string, HashSet<string>> Arrows()
    {
        var root = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(root, "ZeroDrift.slnx"))) root = Path.GetDirectoryName(root)!;
        var source = Path.Combine(root, "src");
        var files = Directory.GetFiles(source, "*.cs", SearchOption.AllDirectories).Where(f => !f.Contains("/obj/", StringComparison.Ordinal) && !f.Contains("/bin/", StringComparison.Ordinal) && !f.Contains("/Migrations/", StringComparison.Ordinal))
            .Select(f => (Room: RoomOf(Path.GetRelativePath(source, f)), Text: File.ReadAllText(f))).ToList();
        var roomOf = new Dictionary<string, string>();
        var declared = new Dictionary<string, HashSet<string>>();
        foreach (var (room, text) in files)
        {
            if (Namespace().Match(text) is { Success: true } space) roomOf.TryAdd(space.Groups[1].Value, room);
            foreach (Match type in Declaration().Matches(text))
            {
                if (!declared.TryGetValue(type.Groups[1].Value, out var rooms)) declared[type.Groups[1].Value] = rooms = [];
                rooms.Add(room);
            }
        }
        var arrows = new Dictionary<string, HashSet<string>>();
        foreach (var (room, text) in files)
        {
            var words = Word().Matches(text).Select(m => m.Value).ToHashSet();
            foreach (Match use in Using().Matches(text))
            {
                if (!roomOf.TryGetValue(use.Groups[1].Value, out var there) || there == room) continue;
                if (!words.Any(w => declared.TryGetValue(w, out var rooms) && rooms.Count == 1 && rooms.Contains(there))) continue;
                if (!arrows.TryGetValue(room, out var known)) arrows[room] = known = [];
                known.Add(there);
            }
        }
        return arrows;
    }

    private static bool Reaches(Dictionary<string, HashSet<string>> arrows, string from, string to)
    {
        var (seen, open) = (new HashSet<string>(), new Stack<string>(arrows.GetValueOrDefault(from) ?? []));
        while (open.TryPop(out var room))
        {
            if (room == to) return true;
            if (!seen.Add(room)) continue;
            foreach (var next in arrows.GetValueOrDefault(room) ?? []) open.Push(next);
        }
        return false;
    }

    private static string RoomOf(string relative)
    {
        var parts = relative.Split('/');
        return parts.Length > 2 ? $"{parts[0]}/{parts[1]}" : parts[0];
    }

    [GeneratedRegex(@"^namespace\s+([\w.]+)", RegexOptions.Multiline)]
    private static partial Regex Namespace();

    [GeneratedRegex(@"^using\s+(?:static\s+)?([\w.]+)\s*;", RegexOptions.Multiline)]
    private static partial Regex Using();

    [GeneratedRegex(@"\b(?:class|struct|interface|enum|record(?: struct)?)\s+([A-Z]\w+)")]
    private static partial Regex Declaration();

    [GeneratedRegex(@"\b[A-Z]\w+")]
    private static partial Regex Word();
}
