<x-plain title="Too many tries"
    text="Wait a minute, and try again. Nothing is locked." />
