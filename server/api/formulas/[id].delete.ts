export default formulaRoutes.remove()
