<x-plain title="Something went wrong on our side"
    text="Nothing was half saved. Try it again; if it stays, the log in storage/logs says why." />
