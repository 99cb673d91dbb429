using System.Text;
using System.Text.Json.Nodes;
using ZeroDrift.Contract;

namespace ZeroDrift.Tablet.Tests;

/// <summary>The tablet answers with the server's bytes: a rule lives once, and a figure has one last digit.</summary>
public sealed class SameBytesTests(TabletProcess tablet) : IClassFixture<TabletProcess>
{
    private const int Variations = 40;

    public static TheoryData<string> Names => [.. AllCalls.List.Select(c => c.Name).Where(n => n != "fold")];

    [Theory]
    [MemberData(nameof(Names))]
    public void Every_call_and_what_a_mistyped_figure_makes_of_it(string name)
    {
        var given = JsonNode.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "calls.json")))!.AsObject();
        var examples = given[name]?.AsArray() ?? throw new InvalidOperationException($"calls.json has no example of {name}.");
        var random = new Random(name.Length);
        var (answered, refused) = (0, 0);
        foreach (var example in examples)
            for (var i = 0; i < Variations; i++)
            {
                var request = example!.DeepClone();
                if (i > 0) Vary(request, random);
                var json = request.ToJsonString();
                var server = AllCalls.Find(name)!.Answer(Encoding.UTF8.GetBytes(json));

                var (status, said) = tablet.Call(name, json);

                Assert.Equal(server.Status, status);
                Assert.True(Encoding.UTF8.GetString(server.Json) == said, $"{json}\nserver {Encoding.UTF8.GetString(server.Json)}\ntablet {said}");
                if (status == 200) answered++;
                else refused++;
            }
        Assert.True(answered >= Variations / 4, $"only {answered} of them were answered, {refused} refused");
    }

    /// <summary>Some figures become others, now and then something is left out or makes no sense.</summary>
    private static void Vary(JsonNode node, Random random)
    {
        switch (node)
        {
            case JsonObject fields:
                foreach (var (name, value) in fields.ToList())
                {
                    if (random.Next(90) == 0) fields.Remove(name);
                    else if (value is JsonValue leaf) fields[name] = Other(leaf, random);
                    else if (value is not null) Vary(value, random);
                }
                break;
            case JsonArray list:
                for (var i = 0; i < list.Count; i++)
                {
                    if (list[i] is JsonValue leaf) list[i] = Other(leaf, random);
                    else if (list[i] is { } inner) Vary(inner, random);
                }
                break;
            default: break;
        }
    }

    private static JsonNode Other(JsonValue leaf, Random random)
    {
        if (leaf.TryGetValue<int>(out var whole)) return random.Next(16) == 0 ? JsonValue.Create(whole + random.Next(-1, 3)) : JsonValue.Create(whole);
        if (leaf.TryGetValue<double>(out var figure)) return random.Next(3) == 0 ? JsonValue.Create(figure) : JsonValue.Create(random.Next(60) == 0 ? -figure : figure * (0.7 + 0.6 * random.NextDouble()));
        return leaf.TryGetValue<string>(out var text) && random.Next(160) == 0 ? JsonValue.Create(text + "x") : leaf.DeepClone();
    }
}
