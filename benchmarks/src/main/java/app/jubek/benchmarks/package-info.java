/** Measurements that can be repeated; figures are ratios within one run. */
@NullMarked
package app.jubek.benchmarks;

import org.jspecify.annotations.NullMarked;
