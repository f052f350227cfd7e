<x-plain title="Luftig is being looked after"
    text="Come back in a minute." />
