export default formulaRoutes.get()
