# Figures for ReferenceDriftTests. Debian: r-base-core, r-cran-metafor. Run from the project's root: Rscript tests/reference/drift.R
# Makes invented readings, fits each point with lm, pools the rates with metafor's REML, and writes what came out.
suppressMessages(library(metafor))
set.seed(20270104)
folder <- "tests/reference/"
readings <- NULL
for (point in 1:10) {
  rate <- rnorm(1, -0.015, 0.006) / 1000
  for (run in 1:sample(1:4, 1)) {
    n <- sample(1:4, 1)
    hours <- sort(round(runif(n, 0, 2000))) + 2000 * run
    u <- sample(c(0.006, 0.009, 0.016), n, replace = TRUE)
    readings <- rbind(readings, data.frame(point, run, hours, clearance = round(0.4 + rate * (hours - hours[1]) + rnorm(n, 0, u), 3), u))
  }
}
write.csv(readings, paste0(folder, "drift-readings.csv"), row.names = FALSE)
own <- NULL
for (point in unique(readings$point)) {
  here <- readings[readings$point == point, ]
  here <- here[here$run %in% names(which(table(here$run) > 1)), ]
  if (nrow(here) == 0 || all(tapply(here$hours, here$run, function(h) diff(range(h))) == 0)) next
  fit <- if (length(unique(here$run)) > 1) lm(clearance ~ factor(run) + hours, weights = 1 / u^2, data = here) else lm(clearance ~ hours, weights = 1 / u^2, data = here)
  freedom <- df.residual(fit)
  chi2 <- sum(residuals(fit)^2 / here$u^2)
  birge <- if (freedom > 0) max(1, sqrt(chi2 / freedom)) else 1
  # summary()'s standard error holds sigma; with the errors known it is taken out again.
  bare <- sqrt(diag(chol2inv(qr.R(qr(model.matrix(fit) / here$u)))))[ncol(model.matrix(fit))]
  own <- rbind(own, data.frame(point, rate = unname(coef(fit)["hours"]), se = bare * birge, birge, df = freedom))
}
write.csv(format(own, digits = 12, scientific = TRUE), paste0(folder, "drift-own.csv"), row.names = FALSE, quote = FALSE)
# per 1000 h, so that the optimiser works on figures near one
pool <- rma(yi = own$rate * 1000, sei = own$se * 1000, method = "REML", control = list(threshold = 1e-12, maxiter = 1000))
write.csv(format(data.frame(tau2 = pool$tau2, mean = as.numeric(pool$beta), se = pool$se), digits = 12), paste0(folder, "drift-pool.csv"), row.names = FALSE, quote = FALSE)
