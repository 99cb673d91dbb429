namespace ZeroDrift.Contract.Visits;

/// <summary>Folds a visit without a store: all that is needed comes with the request.</summary>
public static class FoldCall
{
    public static FoldResponse Fold(FoldRequest request) => new FoldMemory().Fold(request);
}
