// A program that does nothing: what any program takes to begin and end.
return 0;
