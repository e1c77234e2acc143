import fc from 'fast-check';

// A property that fails on a case of a second would be shrunk for hours; the case and its seed are enough.
fc.configureGlobal({ endOnFailure: true });
