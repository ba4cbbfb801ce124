/** The product's mark: a bush in its housing, in section. */
export function Mark() {
    return <img src="/mark.svg" width={38} height={38} alt="Oldpart Fit" />;
}
