/** Whatever is drawn by itself in a test has all words. */
import "../said/rest";
