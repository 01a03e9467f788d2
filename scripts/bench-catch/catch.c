/* core/rigs/catch/simulate.ts in C, for the benchmark only: reads falls as rows of 16 doubles from a file, runs them all five times, and
 * prints the shortest time in ms and the sums that the benchmark compares with its own. */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <time.h>

#define G 9.80665
#define STEP_RAD 0.05
#define STEP_S 0.004
#define LONGEST_S 12.0

typedef struct {
  double climberKg, belayerKg, a, b, freeFallM, r, k1, k2, knee, damping, slipN, fixed, stepUp, besideM, belowFirstM, roomM;
} Fall;
typedef struct { double climberN, belayerN, liftM, slipM, downM; int piece, ground; } Caught;

static double arm, wall, shoe;

static inline double pull(const Fall *f, double e) {
  double first = f->k1 * e;
  return first <= f->knee ? first : f->knee + f->k2 * (e - f->knee / f->k1);
}
static inline double strain(const Fall *f, double n) {
  return n <= f->knee ? n / f->k1 : f->knee / f->k1 + (n - f->knee) / f->k2;
}
static inline double shared(const Fall *f, double pulled, double other, double r, double stretch) {
  double soft = pulled / f->k1 + other / (r * f->k1), first = f->knee * soft;
  if (stretch <= first) return stretch / soft;
  double mixed = pulled / f->k2 + other / (r * f->k1), second = first + (r - 1) * f->knee * mixed;
  if (stretch <= second) return f->knee + (stretch - first) / mixed;
  return r * f->knee + (stretch - second) / (pulled / f->k2 + other / (r * f->k2));
}

static Caught run(const Fall *f) {
  double m1 = f->climberKg, m2 = f->belayerKg, r = f->r, k = fmax(f->k1, f->k2), slipN = f->slipN, a = f->a, b = f->b;
  int fixed = f->fixed != 0;
  double effective = a + b / r, swing = sqrt(k / (effective * m1)), tau = 2 * f->damping / swing;
  double fastest = fixed ? swing : sqrt(k / effective * (1 / m1 + 1 / m2));
  double dt = fmin(STEP_S, STEP_RAD / fmax(fastest, sqrt(k / (a * m1))));
  double kappa = 1 + tau / dt;
  double reach0 = hypot(f->besideM, f->belowFirstM), way = fmax(0, reach0 - arm), wallM = fmin(f->besideM, wall);
  double y = 0, v = sqrt(2 * G * f->freeFallM), px = f->besideM, py = f->belowFirstM, groundY = py, vx = 0;
  double vy = fixed ? 0 : -f->stepUp, reach = reach0, passed = 0, slipped = 0, t1, t2, ay = G, ax2 = 0, ay2 = 0;
  int held = fixed;
  Caught c = {0};
  long steps = (long)ceil(LONGEST_S / dt);
  for (long i = 0;; i++) {
    double half = i > 0 ? dt / 2 : 0;
    double closing = held || reach == 0 ? 0 : -(px * (vx + ax2 * half) + py * (vy + ay2 * half)) / reach;
    double w1 = y - passed + tau * (v + ay * half), w2 = passed - (reach0 - reach) - slipped - tau * closing;
    if (w1 + w2 <= 0) {
      t1 = t2 = 0;
      passed += (b * w1 - a * w2) / (a + b) / kappa;
    } else if (b == 0) {
      t1 = pull(f, (w1 + w2) / a);
      if (t1 > slipN) {
        slipped += (w1 + w2 - a * strain(f, slipN)) / kappa;
        t1 = slipN;
      }
      t2 = t1;
    } else {
      t1 = pull(f, w1 / a);
      t2 = pull(f, w2 / b);
      if (t1 > r * t2) {
        t1 = shared(f, a, b, r, w1 + w2);
        t2 = t1 / r;
        if (t2 <= slipN) passed += (w1 - a * strain(f, t1)) / kappa;
      } else if (t1 * r < t2) {
        t2 = shared(f, b, a, r, w1 + w2);
        t1 = t2 / r;
        if (t2 <= slipN) passed += (w1 - a * strain(f, t1)) / kappa;
      }
      if (t2 > slipN) {
        t2 = slipN;
        t1 = fmin(fmax(pull(f, w1 / a), t2 / r), r * t2);
        double move = w1 - a * strain(f, t1);
        passed += move / kappa;
        slipped += fmax(0, w2 + move - b * strain(f, t2)) / kappa;
      }
    }
    ay = G - t1 / m1;
    if (!held) {
      double px1 = reach > 0 ? -px / reach : 0, py1 = reach > 0 ? -py / reach : -1;
      ax2 = t2 * px1 / m2;
      ay2 = G + t2 * py1 / m2;
      if (py >= groundY && ay2 >= 0 && vy >= 0) {
        double grip = shoe * ay2;
        ay2 = 0;
        ax2 = fabs(vx) < 1e-9 && fabs(ax2) <= grip ? 0 : ax2 + grip * (vx < 0 || (vx == 0 && ax2 < 0) ? 1 : -1);
      }
      if (px <= wallM && ax2 < 0) ax2 = 0;
    }
    if (i > 0) {
      v += ay * dt / 2;
      vx += ax2 * dt / 2;
      vy += ay2 * dt / 2;
    }
    if (t1 > c.climberN) c.climberN = t1;
    if (t2 > c.belayerN) c.belayerN = t2;
    if (y > c.downM) c.downM = y;
    if (groundY - py > c.liftM) c.liftM = groundY - py;
    if (i > 0 && v <= 0 && (held || (vy >= 0 && (vx >= 0 || px <= wallM)))) break;
    if (i >= steps) break;
    v += ay * dt / 2;
    y += v * dt;
    if (y >= f->roomM) {
      c.ground = 1;
      c.downM = f->roomM;
      break;
    }
    if (!held) {
      vx += ax2 * dt / 2;
      vy += ay2 * dt / 2;
      px += vx * dt;
      py += vy * dt;
      if (px < wallM) {
        px = wallM;
        vx = 0;
      }
      if (py > groundY) {
        py = groundY;
        vy = 0;
      }
      reach = sqrt(px * px + py * py);
      if (reach0 - reach >= way || py <= 0) {
        c.piece = 1;
        held = 1;
        vx = vy = 0;
      }
    }
  }
  c.slipM = slipped;
  return c;
}

int main(int argc, char **argv) {
  if (argc != 5) return 2;
  arm = atof(argv[2]);
  wall = atof(argv[3]);
  shoe = atof(argv[4]);
  FILE *in = fopen(argv[1], "rb");
  if (!in) return 2;
  fseek(in, 0, SEEK_END);
  long n = ftell(in) / (long)sizeof(Fall);
  rewind(in);
  Fall *falls = malloc(n * sizeof(Fall));
  if (!falls || fread(falls, sizeof(Fall), n, in) != (size_t)n) return 2;
  double best = 1e9, climber = 0, lift = 0, slip = 0;
  long piece = 0;
  for (int round = 0; round < 5; round++) {
    struct timespec t0, t1;
    clock_gettime(CLOCK_MONOTONIC, &t0);
    climber = lift = slip = 0;
    piece = 0;
    for (long i = 0; i < n; i++) {
      Caught c = run(&falls[i]);
      climber += c.climberN;
      lift += c.liftM;
      slip += c.slipM;
      piece += c.piece;
    }
    clock_gettime(CLOCK_MONOTONIC, &t1);
    best = fmin(best, (t1.tv_sec - t0.tv_sec) * 1e3 + (t1.tv_nsec - t0.tv_nsec) / 1e6);
  }
  printf("%.3f %.9g %.9g %.9g %ld\n", best, climber, lift, slip, piece);
  return 0;
}
