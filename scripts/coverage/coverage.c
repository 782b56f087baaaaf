/* The coverage simulation's inner work in C, to hold the one in core against: the same cells, patterns, walks and sums. Usage:
   coverage <cell in m> <runs>; prints the milliseconds of each run. */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

static const double SIDE = 100, PASSES = 60, WANDER = 0.2, PACE = 0.05, STEP = 0.25;
static unsigned state;

static double draw(void) {
  state += 0x6d2b79f5u;
  unsigned t = (state ^ (state >> 15)) * (1u | state);
  t = (t + ((t ^ (t >> 7)) * (61u | t))) ^ t;
  return (double)(t ^ (t >> 14)) / 4294967296.0;
}
static double normal(void) {
  const double far = sqrt(-2 * log(1 - draw()));
  return far * cos(2 * M_PI * draw());
}
static void drift(double *values, int count) {
  const double keeps = exp(-STEP / 6), fresh = sqrt(1 - keeps * keeps);
  double now = normal();
  for (int at = 0; at < count; at++) {
    values[at] = now;
    now = keeps * now + fresh * normal();
  }
}

static void lay(double *map, int columns, int rows, double x0, double y0, double cell, double x, double from, double to, double perM, const double *share, int steps, double fromM, double stepM, const double *side, const double *output, double widest) {
  const double length = fabs(to - from), uy = to > from ? 1 : -1, half = cell / 2;
  const double low = fromM - widest, high = fromM + steps * stepM + widest;
  for (int row = 0; row < rows; row++) {
    const double s = (y0 + (row + 0.5) * cell - from) * uy;
    if (s < -half || s > length + half) continue;
    const int step = (int)((s < 0 ? 0 : s) / STEP);
    const double covered = fmin(1, fmin((s + half) / cell, (length - s + half) / cell));
    const double left = x + (uy > 0 ? low : -high), right = x + (uy > 0 ? high : -low);
    const int first = (int)fmax(0, ceil((left - x0) / cell - 0.5)), last = (int)fmin(columns - 1, floor((right - x0) / cell - 0.5));
    for (int column = first; column <= last; column++) {
      const double v = (x0 + (column + 0.5) * cell - x) * uy;
      const double at = (v - side[step] - fromM) / stepM;
      if (at >= 0 && at < steps) {
        const int below = (int)at;
        map[row * columns + column] += perM * output[step] * (share[below] + (at - below) * (share[below + 1] - share[below])) * covered;
      }
    }
  }
}

int main(int count, char **given) {
  const double cell = count > 1 ? atof(given[1]) : 0.1, spacing = SIDE / PASSES;
  const int runs = count > 2 ? atoi(given[2]) : 9, walk = (int)(SIDE / STEP) + 3;
  const double beyond = spacing + 4 * WANDER + cell;
  const int margin = (int)ceil(beyond / cell), inner = (int)ceil(SIDE / cell - 1e-9), columns = inner + 2 * margin;
  int steps = (int)ceil(2 * spacing / cell * 16);
  if (steps > 8192) steps = 8192;
  if (steps < 64) steps = 64;
  double *map = malloc(sizeof(double) * columns * columns), *share = malloc(sizeof(double) * (steps + 2)), *side = malloc(sizeof(double) * walk), *output = malloc(sizeof(double) * walk);
  for (int at = 0; at <= steps; at++) share[at] = (1 - fabs(-1 + 2.0 * at / steps)) / spacing;
  share[steps + 1] = 0;
  for (int run = 0; run < runs; run++) {
    struct timespec begin, end;
    clock_gettime(CLOCK_MONOTONIC, &begin);
    memset(map, 0, sizeof(double) * columns * columns);
    for (int pass = 0; pass < PASSES; pass++) {
      state = 1 + pass * 7919;
      double widest = 0;
      drift(side, walk);
      drift(output, walk);
      for (int at = 0; at < walk; at++) {
        side[at] *= WANDER;
        widest = fmax(widest, fabs(side[at]));
        output[at] = 1 / fmax(0.4, 1 + output[at] * PACE);
      }
      const double x = (pass + 0.5) * spacing;
      lay(map, columns, columns, -margin * cell, -margin * cell, cell, x, pass % 2 ? SIDE : 0, pass % 2 ? 0 : SIDE, 0.015 * spacing, share, steps, -spacing, 2 * spacing / steps, side, output, widest);
    }
    double sum = 0, squares = 0;
    int under = 0, over = 0, bins[21] = {0};
    for (int row = margin; row < margin + inner; row++)
      for (int column = margin; column < margin + inner; column++) {
        const double value = map[row * columns + column] / 0.015;
        sum += value - 1;
        squares += (value - 1) * (value - 1);
        under += value < 0.75;
        over += value > 1.25;
        bins[(int)fmin(20, value * 10 + 1e-9)]++;
      }
    clock_gettime(CLOCK_MONOTONIC, &end);
    const double all = (double)inner * inner, mean = 1 + sum / all;
    fprintf(stderr, "%d: mean %.4f CV %.4f under %.4f over %.4f, most %d\n", run, mean, sqrt(squares / all - (mean - 1) * (mean - 1)) / mean, under / all, over / all, bins[20]);
    printf("%.2f\n", (end.tv_sec - begin.tv_sec) * 1e3 + (end.tv_nsec - begin.tv_nsec) / 1e6);
  }
  return 0;
}
