namespace ZeroDrift.Core.Wear;

/// <summary>
/// What readings say of the unknowns that all engines share, as a matrix and a right side without any prior: what is kept of a group so that one
/// engine can be worked out again without the others.
/// </summary>
/// <param name="Groups">Names of the groups.</param>
/// <param name="People">Names of the hands.</param>
/// <param name="Bedding">Whether bedding-in has columns.</param>
/// <param name="Matrix">Full, row by row.</param>
/// <param name="Right">Right side.</param>
public sealed record SharedInformation(IReadOnlyList<string> Groups, IReadOnlyList<string> People, bool Bedding, double[] Matrix, double[] Right)
{
    /// <summary>Nothing said yet.</summary>
    public static SharedInformation Empty(IReadOnlyList<string> groups, IReadOnlyList<string> people, bool bedding)
    {
        var n = new SharedColumns(groups, people, bedding).Count;
        return new SharedInformation(groups, people, bedding, new double[n * n], new double[n]);
    }

    /// <summary>Without what one engine said.</summary>
    public SharedInformation Without(SharedInformation engine)
    {
        var rest = For(Groups, People, Bedding);
        var said = engine.For(Groups, People, Bedding);
        for (var i = 0; i < rest.Matrix.Length; i++) rest.Matrix[i] -= said.Matrix[i];
        for (var i = 0; i < rest.Right.Length; i++) rest.Right[i] -= said.Right[i];
        return rest;
    }

    /// <summary>With what one engine says, its names among them.</summary>
    public SharedInformation Plus(SharedInformation engine)
    {
        var (groups, people) = (Groups.Union(engine.Groups).ToList(), People.Union(engine.People).ToList());
        var (all, said) = (For(groups, people, Bedding), engine.For(groups, people, Bedding));
        for (var i = 0; i < all.Matrix.Length; i++) all.Matrix[i] += said.Matrix[i];
        for (var i = 0; i < all.Right.Length; i++) all.Right[i] += said.Right[i];
        return all;
    }

    /// <summary>Laid out for other names; names it does not know get nothing, names not asked for are dropped.</summary>
    internal SharedInformation For(IReadOnlyList<string> groups, IReadOnlyList<string> people, bool bedding)
    {
        var (from, to) = (new SharedColumns(Groups, People, Bedding), new SharedColumns(groups, people, bedding));
        var other = Empty(groups, people, bedding);
        var place = new int[from.Count];
        Array.Fill(place, -1);
        for (var g = 0; g < Groups.Count; g++)
        {
            if (Index(groups, Groups[g]) is not (>= 0 and var at)) continue;
            place[SharedColumns.Mean(g)] = SharedColumns.Mean(at);
            if (Bedding && bedding) place[from.BeddingOf(g)] = to.BeddingOf(at);
        }
        for (var p = 0; p < People.Count; p++)
            if (Index(people, People[p]) is >= 0 and var at) place[from.Person(p)] = to.Person(at);
        for (var i = 0; i < from.Count; i++)
        {
            if (place[i] < 0) continue;
            other.Right[place[i]] = Right[i];
            for (var j = 0; j < from.Count; j++)
                if (place[j] >= 0) other.Matrix[place[i] * to.Count + place[j]] = Matrix[i * from.Count + j];
        }
        return other;
    }

    internal void Add(int[] columns, double[] matrix, double[] right)
    {
        var n = Right.Length;
        for (var i = 0; i < columns.Length; i++)
        {
            Right[columns[i]] += right[i];
            for (var j = 0; j < columns.Length; j++) Matrix[columns[i] * n + columns[j]] += matrix[i * columns.Length + j];
        }
    }

    private static int Index(IReadOnlyList<string> names, string name)
    {
        for (var i = 0; i < names.Count; i++) if (names[i] == name) return i;
        return -1;
    }
}
