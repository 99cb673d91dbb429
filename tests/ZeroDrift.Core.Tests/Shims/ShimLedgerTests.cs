using ZeroDrift.Core.Engines;
using ZeroDrift.Core.Shims;

namespace ZeroDrift.Core.Tests.Shims;

/// <summary>A drawer holds what was put in and not taken out.</summary>
public sealed class ShimLedgerTests
{
    private static readonly Guid Kit = Guid.NewGuid();
    private static readonly Guid OldHead = Guid.NewGuid();

    [Theory]
    [InlineData(ShimMovementKind.In, 2, 0, 2)]
    [InlineData(ShimMovementKind.Out, 2, 3, -2)]
    [InlineData(ShimMovementKind.WrittenOff, 1, 1, -1)]
    [InlineData(ShimMovementKind.Counted, 5, 3, 2)]
    [InlineData(ShimMovementKind.Counted, 0, 3, -3)]
    [InlineData(ShimMovementKind.Counted, 3, 3, 0)]
    public void What_is_done_changes_the_count(ShimMovementKind kind, int count, int held, int change) =>
        Assert.Equal(new ShimLine(Kit, 2.70, change), Assert.Single(ShimLedger.Lines(new ShimAct(kind, Kit, 2.70, count), held)));

    [Fact]
    public void Moved_and_lapped_ones_are_gone_here_and_there_elsewhere()
    {
        Assert.Equal([new(Kit, 2.70, -2), new ShimLine(OldHead, 2.70, 2)], ShimLedger.Lines(new ShimAct(ShimMovementKind.Moved, Kit, 2.70, 2, OldHead), 2));
        Assert.Equal([new(Kit, 2.70, -1), new ShimLine(Kit, 2.68, 1)], ShimLedger.Lines(new ShimAct(ShimMovementKind.Lapped, Kit, 2.70, 1, ToSizeMm: 2.68), 1));
    }

    [Theory]
    [InlineData(0, "no 2.70 mm left")]
    [InlineData(1, "is 1 of 2.70 mm")]
    public void No_more_is_taken_than_there_is(int held, string sentence) =>
        Assert.Contains(sentence, Assert.Throws<NotThereException>(() => ShimLedger.Lines(new ShimAct(ShimMovementKind.Out, Kit, 2.70, 2), held)).Message, StringComparison.Ordinal);

    [Theory]
    [InlineData(ShimMovementKind.In, 27.0, 1, null, "sizeMm")]
    [InlineData(ShimMovementKind.In, 2.7, 0, null, "count")]
    [InlineData(ShimMovementKind.Counted, 2.7, -1, null, "count")]
    [InlineData(ShimMovementKind.Moved, 2.7, 1, null, "toDrawer")]
    [InlineData(ShimMovementKind.Lapped, 2.7, 1, null, "toSizeMm")]
    [InlineData(ShimMovementKind.Lapped, 2.7, 1, 2.75, "toSizeMm")]
    [InlineData(ShimMovementKind.Lapped, 2.7, 1, 2.5, "toSizeMm")]
    public void What_cannot_be_is_named(ShimMovementKind kind, double mm, int count, double? after, string field) =>
        Assert.Equal(field, Assert.Throws<BadInputException>(() => ShimLedger.Lines(new ShimAct(kind, Kit, mm, count, ToSizeMm: after), 9)).Field);

    [Fact]
    public void An_inch_size_and_its_millimetres_are_one_size() => Assert.Equal(ShimLedger.Size(2.6924), ShimLedger.Size(0.106 * 25.4));

    [Fact]
    public void Sorts_are_told_apart_by_place_and_diameter()
    {
        Assert.NotEqual(ShimSort.Of(ShimAccess.OnTop, 29), ShimSort.Of(ShimAccess.OnTop, 33));
        Assert.NotEqual(ShimSort.Of(ShimAccess.OnTop, 29), ShimSort.Of(ShimAccess.UnderBucket, 29));
        Assert.Equal("diameterMm", Assert.Throws<BadInputException>(() => ShimSort.Of(ShimAccess.Puck, 100)).Field);
    }
}
