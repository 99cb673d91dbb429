# The same fits in R, for the ratio: Rscript bench/drift.R readings.csv   (r-base-core, r-cran-metafor)
suppressMessages(library(metafor))
readings <- read.csv(commandArgs(TRUE)[1])
began <- proc.time()[["elapsed"]]
own <- do.call(rbind, lapply(split(readings, readings$point), function(here) {
  here <- here[here$run %in% names(which(table(here$run) > 1)), ]
  fit <- lm(clearance ~ factor(run) + hours, weights = 1 / u^2, data = here)
  s <- summary(fit)
  c(here$point[1], coef(fit)[["hours"]], s$coefficients["hours", 2] / s$sigma * max(1, s$sigma))
}))
fitted <- proc.time()[["elapsed"]]
group <- own[, 1] %/% 1200 * 2 + own[, 1] %% 2
first <- NULL
for (g in sort(unique(group))) {
  pool <- rma(yi = own[group == g, 2] * 1000, sei = own[group == g, 3] * 1000, method = "REML")
  if (is.null(first)) first <- as.numeric(pool$beta)
}
done <- proc.time()[["elapsed"]]
cat(sprintf("R: %d lm fits %.2f s; %d rma fits %.2f s; mean of the first %.6f mm per 1000 h\n", nrow(own), fitted - began, length(unique(group)), done - fitted, first))
