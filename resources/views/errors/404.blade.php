<x-plain title="There is nothing here"
    text="The address may be mistyped, or what stood here was removed." />
