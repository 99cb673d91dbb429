namespace ZeroDrift.Browser.Tests;

/// <summary>The hand never moves: rail, feels, Keep and Take back stand at the lower edge in every state, so that a thumb finds them without looking.</summary>
public sealed class HandTests : IDisposable
{
    private readonly RunningServer server = new(demo: false);
    private readonly Screen screen;

    public HandTests() => screen = new Screen(server);

    private static readonly (int Width, int Height)[] Sizes = [(768, 1024), (1024, 768), (390, 844), (1280, 800)];

    [Fact]
    public async Task From_found_to_as_left_the_rail_stays_where_it_is_and_Keep_is_in_sight_on_every_size()
    {
        var fleet = new TwinFleet(server);
        var engine = new OpenedEngine(screen, fleet);
        await engine.AddAsync(new { firingOrder = "1-3-4-2", layout = "E I I E E I I E", method = "twoStop" });
        engine.Open();
        screen.Press("1 is on compression: measure");
        screen.See("MEASURE AS FOUND");
        var rail = Sizes.ToDictionary(size => size, size => RailAt(size, "at first"));

        // Found loose, so that it is set: each state of the setting in turn.
        screen.Try("0.40", "Slight drag");
        screen.See("Loose: 0.40.");
        Stays("with a verdict");
        screen.Press("Keep 0.40 as found");
        screen.See("Nut still loose");
        Stays("before locking");
        screen.Try("0.30", "Slight drag");
        screen.Press("Keep 0.30, not locked yet");
        screen.See("Locked: which blade drags?");
        Stays("locked");
        screen.Try("0.30", "Slight drag");
        screen.See("On the figure: 0.30.");
        Stays("as left");

        void Stays(string state)
        {
            foreach (var size in Sizes)
            {
                var now = RailAt(size, state);
                Assert.True(Math.Abs(now - rail[size]) < 0.5, $"{state}, {size}: the rail stands at {now}, it stood at {rail[size]}");
            }
        }

        double RailAt((int Width, int Height) size, string state)
        {
            screen.Width(size.Width, size.Height);
            screen.Wait(5, $"{size}", () => Number("innerWidth") == size.Width && Number("innerHeight") == size.Height);
            screen.Driver.ExecuteAsyncScript("const done = arguments[0]; requestAnimationFrame(() => requestAnimationFrame(done))");
            var keep = Edge(".keeping .keep", "bottom");
            Assert.True(keep <= size.Height, $"{state}, {size}: Keep ends at {keep}");
            Assert.Equal(0, Number("window.scrollY"));
            return Edge(".row-blades", "top");
        }
    }

    [Fact]
    public async Task A_straight_six_is_one_line_and_the_point_at_hand_is_in_its_middle()
    {
        var engine = new OpenedEngine(screen, new TwinFleet(server));
        await engine.AddAsync(new { firingOrder = "1-5-3-6-2-4", layout = "E I I E E I I E E I I E", method = "twoStop" });
        engine.Open();
        screen.Width(390, 844);
        screen.Press("1 is on compression: measure");
        screen.See("MEASURE AS FOUND");

        Assert.Equal(1, Number("new Set([...document.querySelectorAll('.heads .bore')].map(b => Math.round(b.getBoundingClientRect().top))).size"));
        Assert.Equal(12, Number("document.querySelectorAll('.heads .point').length"));
        Assert.True(Number("(p => p.left >= 0 && p.right <= innerWidth ? 1 : 0)(document.querySelector('.heads .current').getBoundingClientRect())") == 1, "the point at hand is out of sight");
    }

    public void Dispose()
    {
        screen.Dispose();
        server.Dispose();
    }

    private double Edge(string element, string edge) => Number($"document.querySelector('{element}').getBoundingClientRect().{edge}");

    private double Number(string expression) => Convert.ToDouble(screen.Driver.ExecuteScript($"return {expression}"), System.Globalization.CultureInfo.InvariantCulture);
}
