namespace ZeroDrift.Planning.Shims;

/// <summary>
/// Rows to columns, each column at most once, at the least total cost: shortest augmenting paths with potentials (Kuhn 1955, Munkres 1957). Costs are
/// 128 bits wide, so that five ranks one above the other fit a number where the 64 bits of a library's flow would not.
/// </summary>
internal static class CheapestAssignment
{
    /// <summary>The column of every row; null where not every row can have one.</summary>
    /// <param name="cost">Cost of a row in a column; null where it may not.</param>
    public static int[]? Of(Int128?[,] cost)
    {
        var (rows, columns) = (cost.GetLength(0), cost.GetLength(1));
        var rowOf = Enumerable.Repeat(-1, columns).ToArray();
        var (ofRow, ofColumn) = (new Int128[rows], new Int128[columns]);
        for (var row = 0; row < rows; row++)
            if (!Augment(cost, row, rowOf, ofRow, ofColumn)) return null;
        var columnOf = new int[rows];
        for (var column = 0; column < columns; column++)
            if (rowOf[column] >= 0) columnOf[rowOf[column]] = column;
        return columnOf;
    }

    /// <summary>Finds the cheapest way to give one more row a column, rows before it moving on where that is cheaper.</summary>
    private static bool Augment(Int128?[,] cost, int first, int[] rowOf, Int128[] ofRow, Int128[] ofColumn)
    {
        var columns = rowOf.Length;
        var least = new Int128?[columns];
        var from = Enumerable.Repeat(-1, columns).ToArray();
        var done = new bool[columns];
        var (row, last) = (first, -1);
        var reached = Int128.Zero;
        while (true)
        {
            var next = -1;
            for (var column = 0; column < columns; column++)
            {
                if (done[column]) continue;
                if (cost[row, column] is { } price && price - ofRow[row] - ofColumn[column] + reached is var way && (least[column] is not { } known || way < known)) (least[column], from[column]) = (way, last);
                if (least[column] is { } here && (next < 0 || here < least[next]!.Value)) next = column;
            }
            if (next < 0) return false;
            (reached, last) = (least[next]!.Value, next);
            done[next] = true;
            if (rowOf[next] < 0) break;
            row = rowOf[next];
        }
        for (var column = 0; column < columns; column++)
        {
            if (!done[column] || column == last) continue;
            var rise = reached - least[column]!.Value;
            ofColumn[column] -= rise;
            ofRow[rowOf[column]] += rise;
        }
        ofRow[first] += reached;
        for (var column = last; ;)
        {
            var before = from[column];
            rowOf[column] = before < 0 ? first : rowOf[before];
            if (before < 0) return true;
            column = before;
        }
    }
}
